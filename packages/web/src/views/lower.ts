/** In the middle of a sentence. */
export function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1)
}
