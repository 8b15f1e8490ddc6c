import { readDevice, writeDevice } from './device-storage'

const key = 'snowdrift.account'
const firstKey = 'snowdrift.first-account'

let current: string | undefined

/** Whose work this device shows, as far as the server ever said. */
export function currentAccount(): string | undefined {
  current ??= readDevice(key) ?? undefined
  return current
}

/** Whether it is somebody’s who signs in: two parts, the workshop and the person. */
export function isSomebodys(account: string | undefined): boolean {
  return account?.includes(' ') ?? false
}

/**
 * Hears from the server whose work it is. True where it was somebody else’s so far: what is in memory is theirs, and goes.
 */
export function meetAccount(account: string): boolean {
  const before = currentAccount()
  if (before === account) return false
  if (before === undefined && readDevice(firstKey) === null) writeDevice(firstKey, account)
  current = account
  writeDevice(key, account)
  return before !== undefined
}

/**
 * Where unsaved work of the current account is kept. Whoever was first has the place in which it was kept before there were
 * accounts.
 */
export function keptPlace(): string {
  const account = currentAccount()
  return account === undefined || account === readDevice(firstKey) ? 'snowdrift' : `snowdrift ${account}`
}

/** For tests: the page is loaded anew. */
export function forgetAccount(): void {
  current = undefined
}
