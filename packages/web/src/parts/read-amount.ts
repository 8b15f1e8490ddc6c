/** An amount as typed, with a comma or a point; undefined where nothing is, `wrong` where it is none up to `most`. */
export function readAmount(text: string, most: number): number | undefined | 'wrong' {
  const plain = text.trim().replace(',', '.')
  if (plain === '') return undefined
  const amount = Number(plain)
  return amount >= 0 && amount <= most ? amount : 'wrong'
}
