import type { CuttingMatch } from '@snowdrift/core'

/** The matches with one more; asked for twice it is one. */
export function withMatch(matches: readonly CuttingMatch[], match: CuttingMatch): readonly CuttingMatch[] {
  return [...withoutMatch(matches, match), match]
}

export function withoutMatch(matches: readonly CuttingMatch[], { group, one, other }: CuttingMatch) {
  return matches.filter(match => match.group !== group || match.one !== one || match.other !== other)
}
