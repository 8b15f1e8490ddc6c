import type { Ref } from '../drafts/kinds'

/** What one window tells the others of this device: a row was saved, or something else of the workshop was changed. */
export type Told = { readonly saved: Ref } | { readonly changed: true }

let opened: BroadcastChannel | undefined

/** Undefined where the browser has none: every window is by itself then, and the server tells what differs. */
function channel(): BroadcastChannel | undefined {
  try {
    opened ??= new BroadcastChannel('snowdrift')
  } catch {
    return undefined
  }
  return opened
}

export function tellOtherWindows(told: Told): void {
  channel()?.postMessage(told)
}

export function hearOtherWindows(hear: (told: Told) => void): void {
  channel()?.addEventListener('message', ({ data }: MessageEvent<Told>) => hear(data))
}
