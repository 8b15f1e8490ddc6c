/** Rings until it is stopped: three short tones every four seconds, and the phone shakes. Silent where a page may not sound. */
export function ring(): () => void {
  const sound = typeof AudioContext === 'function' ? new AudioContext() : undefined
  const title = document.title
  const once = () => {
    if (sound) for (const at of [0, 0.3, 0.6]) tone(sound, sound.currentTime + at)
    // A browser shakes nothing that was not touched yet, and complains when asked to.
    if (navigator.userActivation.hasBeenActive)
      (navigator as { vibrate?: (pattern: number[]) => boolean }).vibrate?.([200, 100, 200])
    document.title = `Ready: ${title}`
  }
  once()
  const timer = setInterval(once, 4000)
  return () => {
    clearInterval(timer)
    document.title = title
    void sound?.close()
  }
}

function tone(sound: AudioContext, at: number): void {
  const [voice, loudness] = [sound.createOscillator(), sound.createGain()]
  voice.frequency.value = 880
  loudness.gain.setValueAtTime(0.2, at)
  loudness.gain.exponentialRampToValueAtTime(0.001, at + 0.25)
  voice.connect(loudness).connect(sound.destination)
  voice.start(at)
  voice.stop(at + 0.25)
}
