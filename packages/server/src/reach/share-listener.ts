import type { Sharing } from '@snowdrift/core'
import { listen, type Certificate, type Fetch, type Listening } from '../http/listen.js'
import { ownAddresses } from './own-names.js'

export interface ShareOptions {
  /** The port that other devices use. */
  readonly port: number
  readonly certificate?: Certificate
  /** What other devices open, where a proxy stands before the port. */
  readonly url?: string
}

/** The way in for other devices: shut until it is opened. */
export interface ShareListener {
  readonly state: () => Sharing
  /** Opens or shuts it; opening throws where the port is taken. */
  readonly turn: (isOn: boolean) => Promise<void>
}

export function createShareListener(
  fetch: Fetch,
  options: ShareOptions,
  stopWithinMs: number,
): ShareListener {
  const { port, certificate } = options
  let listening: Listening | undefined
  // One turn after the other: two that come at once would open it twice.
  let turning = Promise.resolve()
  const turn = async (isOn: boolean) => {
    if (isOn === (listening !== undefined)) return
    if (listening) {
      const shut = listening
      listening = undefined
      await shut.close()
    } else
      listening = await listen(fetch, {
        port,
        stopWithinMs,
        hostname: '0.0.0.0',
        ...(certificate && { certificate }),
      })
  }
  return {
    state: () => {
      const open = sharingAt({ ...options, port: listening?.port ?? options.port })
      return listening ? open : { ...open, isOn: false, addresses: [] }
    },
    turn: isOn => {
      const turned = turning.then(() => turn(isOn))
      turning = turned.catch(() => undefined)
      return turned
    },
  }
}

/** Where others come in while the way is open. */
export function sharingAt({ port, certificate, url }: ShareOptions): Sharing {
  return {
    isOn: true,
    addresses: [...(url ? [url] : []), ...addressesAt(port, certificate !== undefined)],
    isSealed: certificate !== undefined || (url?.startsWith('https:') ?? false),
  }
}

function addressesAt(port: number, isSealed: boolean): readonly string[] {
  return ownAddresses().map(address => `${isSealed ? 'https' : 'http'}://${address}:${port}`)
}
