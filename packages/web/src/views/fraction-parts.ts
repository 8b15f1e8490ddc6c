/** A run of text, and whether it is a fraction to be set small over small. */
export interface TextPart {
  readonly text: string
  readonly fraction: boolean
}

/** Splits text at its fractions, such as 3⁄4 in “8 3⁄4 in”: the font turns every digit that it is given. */
export function fractionParts(text: string): readonly TextPart[] {
  return text
    .split(/(\d+\u2044\d+)/)
    .map((part, index) => ({ text: part, fraction: index % 2 === 1 }))
    .filter(part => part.text !== '')
}
