import { formatPairingCode, pairingLink, type PairingCode } from '@snowdrift/core'
import type { House } from '../serve.js'

interface LetInOptions {
  readonly port: number
  readonly tell: (text: string) => void
  readonly trouble: (text: string) => void
}

/** Opens the way in for other devices, and tells at the terminal how one comes in. */
export async function letOthersIn(
  { letOthersIn: open, repositories, workshop }: Pick<House, 'letOthersIn' | 'repositories' | 'workshop'>,
  { port, tell, trouble }: LetInOptions,
): Promise<void> {
  const opened = await open().catch((error: unknown) => error as Error)
  if (opened instanceof Error) {
    trouble(
      `Other devices cannot be let in: ${opened.message}. Choose another port: SNOWDRIFT_SHARE_PORT=${port + 1}`,
    )
    return
  }
  const { addresses, isSealed } = opened
  const [address] = addresses
  if (address === undefined) {
    trouble('Other devices cannot reach this machine: it is in no network.')
    return
  }
  const code = await repositories.devices.openCode(workshop)
  tell(await invitation(address, code, isSealed))
}

async function drawCode(text: string): Promise<string> {
  const { toString } = await import('qrcode')
  return toString(text, { type: 'terminal', small: true })
}

async function invitation(address: string, code: PairingCode, isSealed: boolean): Promise<string> {
  // a log has no use for a picture
  const picture = process.stdout.isTTY && (await drawCode(pairingLink(address, code)))
  const until = new Date(code.expiresAt).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' })
  const lines = [
    ...(picture ? ['\nA phone or tablet in the same network comes in by this picture, or', picture] : []),
    `A phone or tablet in the same network opens ${address} and types ${formatPairingCode(code.code)}: once, until ${until}.`,
    'More of them: under Settings.',
    ...(isSealed
      ? []
      : [
          'What goes to and fro can be read by others in the network; a certificate of your own prevents that.',
        ]),
  ]
  return lines.join('\n')
}
