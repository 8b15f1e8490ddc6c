import { useEffect, useState } from 'react'

/** By what the screen is kept awake; `not` where this browser has no way. */
export type Awake = 'lock' | 'video' | 'not' | 'asking'

/**
 * Keeps the screen awake while it is shown. Where the browser’s own lock is not to be had, as on plain addresses in a home
 * network, a small silent picture that plays keeps it from sleeping.
 */
export function useAwake(): Awake {
  const [awake, setAwake] = useState<Awake>('asking')
  useEffect(() => {
    let release: (() => void) | undefined
    let isGone = false
    const hold = async () => {
      if (document.visibilityState !== 'visible') return
      release?.()
      const held = (await lockScreen()) ?? (await playPicture())
      if (isGone) held?.release()
      release = held?.release
      setAwake(held?.by ?? 'not')
    }
    const again = () => void hold()
    again()
    document.addEventListener('visibilitychange', again)
    // A picture may only play after a touch.
    addEventListener('pointerdown', again, { once: true })
    return () => {
      isGone = true
      document.removeEventListener('visibilitychange', again)
      removeEventListener('pointerdown', again)
      release?.()
    }
  }, [])
  return awake
}

interface Held {
  readonly by: 'lock' | 'video'
  readonly release: () => void
}

async function lockScreen(): Promise<Held | undefined> {
  try {
    const { wakeLock } = navigator as { readonly wakeLock?: Navigator['wakeLock'] }
    const lock = await wakeLock?.request('screen')
    return lock && { by: 'lock', release: () => void lock.release() }
  } catch {
    return undefined
  }
}

async function playPicture(): Promise<Held | undefined> {
  const canvas = Object.assign(document.createElement('canvas'), { width: 2, height: 2 })
  const pen = canvas.getContext('2d')
  const video = Object.assign(document.createElement('video'), { muted: true, loop: true, playsInline: true })
  const draw = setInterval(() => pen?.fillRect(0, 0, 2, 2), 1000)
  const release = () => {
    clearInterval(draw)
    video.srcObject = null
  }
  try {
    video.srcObject = canvas.captureStream(1)
    await video.play()
    return { by: 'video', release }
  } catch {
    release()
    return undefined
  }
}
