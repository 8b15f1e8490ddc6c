/** A text and how its bytes were read. */
export interface Decoded {
  readonly text: string
  /** Where the bytes did not say, or were not, UTF-8. */
  readonly readAs?: 'UTF-16' | 'Windows-1252'
}

/**
 * Reads bytes as the text that they are: UTF-8, or UTF-16 where a mark at the beginning says so, else as the
 * spreadsheets of western Europe write where they do not write UTF-8. No letter is ever replaced by a mark of doubt.
 */
export function decodeText(bytes: Buffer): Decoded {
  const [first, second] = bytes
  if (first === 0xff && second === 0xfe) return { text: decode(bytes, 'utf-16le'), readAs: 'UTF-16' }
  if (first === 0xfe && second === 0xff) return { text: decode(bytes, 'utf-16be'), readAs: 'UTF-16' }
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) }
  } catch {
    return { text: decodeWindows(bytes), readAs: 'Windows-1252' }
  }
}

function decode(bytes: Buffer, encoding: string): string {
  return new TextDecoder(encoding).decode(bytes)
}

/** What Windows-1252 has where Latin-1 has control marks, from 0x80 on. Node reads the one as the other. */
const windowsMarks = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ'

function decodeWindows(bytes: Buffer): string {
  return bytes
    .toString('latin1')
    .replace(/[\u0080-\u009f]/g, mark => windowsMarks[mark.charCodeAt(0) - 0x80] ?? mark)
}
