/** A choice and what it would change: “faced → flap facing 4 × 10 ½”. */
export function withEffect(words: string, effect: string | undefined): string {
  return effect ? `${words} → ${effect}` : words
}
