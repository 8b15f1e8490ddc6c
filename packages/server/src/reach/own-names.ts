import { hostname, networkInterfaces } from 'node:os'

export const loopbackNames: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]'])

/** Networks in the order in which a home is likely to be in them; what runs within the machine comes last. */
const likeliest = [/^192\.168\./, /^10\./, /./, /^172\.(1[6-9]|2\d|3[01])\./] as const

/** The addresses of this machine in the networks that it is in, the likeliest of a home first. */
export function ownAddresses(): readonly string[] {
  const found = Object.values(networkInterfaces())
    .flatMap(entries => entries ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address)
  return found.sort((one, other) => rank(one) - rank(other))
}

/** Every name by which this machine is known in its networks, as a host is written. */
export function ownNames(): ReadonlySet<string> {
  const addresses = Object.values(networkInterfaces())
    .flatMap(entries => entries ?? [])
    .map(({ address, family }) => (family === 'IPv6' ? `[${address}]` : address))
  const name = hostname().toLowerCase()
  return new Set([...loopbackNames, ...addresses, name, `${name}.local`])
}

function rank(address: string): number {
  const narrow = likeliest.findIndex((network, at) => at !== 2 && network.test(address))
  return narrow === -1 ? 2 : narrow
}
