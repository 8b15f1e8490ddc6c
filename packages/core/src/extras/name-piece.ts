import { extras } from './registry.js'

/**
 * What a piece or a notion is called at the table: one that was added by the name of what it is added as, any other as it
 * stands: `spine-lining` is “spine lining”. A second of a name keeps its number, a part of several its part.
 */
export function namePiece(id: string): string {
  const [, base = id, number] = /^(.+)-(\d+)$/.exec(id) ?? []
  if (number !== undefined) return `${namePiece(base)} ${number}`
  const [added] = extras
    .filter(({ type }) => id === type || id.startsWith(`${type}-`))
    .toSorted((one, other) => other.type.length - one.type.length)
  if (!added) return id.replaceAll('-', ' ')
  const name = added.words.name.charAt(0).toLowerCase() + added.words.name.slice(1)
  const part = id.slice(added.type.length + 1)
  return part === '' ? name : `${name}, ${part.replaceAll('-', ' ')}`
}
