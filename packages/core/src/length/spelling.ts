const glyphs: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅒': '1/10',
}
const superscripts = '⁰¹²³⁴⁵⁶⁷⁸⁹'
const subscripts = '₀₁₂₃₄₅₆₇₈₉'
const aboutWords = /^(?:about|approximately|approx\.?|roughly|circa|ca\.?|~|≈)\s*/

/** One ASCII spelling of the many ways to write a length, with `about` taken off the front. */
export function spellPlainly(text: string): { readonly plain: string; readonly about: boolean } {
  const ascii = text
    .trim()
    .toLowerCase()
    .replace(/[¼½¾⅛⅜⅝⅞⅓⅔⅕⅖⅗⅘⅙⅚⅒]/g, glyph => ` ${glyphs[glyph] ?? ''}`)
    .replace(/[⁰¹²³⁴⁵⁶⁷⁸⁹]/g, digit => String(superscripts.indexOf(digit)))
    .replace(/[₀₁₂₃₄₅₆₇₈₉]/g, digit => String(subscripts.indexOf(digit)))
    .replace(/[\u2044\u2215]/g, '/')
    .replace(/[\u2010-\u2015\u2212]/g, '-')
    .replace(/[\u2033\u201c\u201d\u02ba]/g, '"')
    .replace(/[\u2032\u2018\u2019\u02b9]/g, "'")
    .replace(/[\s\u00a0\u2009\u202f]+/g, ' ')
    .trim()
  const plain = ascii.replace(aboutWords, '')
  return { plain, about: plain !== ascii }
}
