/** Enter goes to the next thing to measure; the last one is left. */
export function focusNextLength(from: HTMLElement): void {
  const fields = [...document.querySelectorAll<HTMLElement>('[data-length-field]')]
  const next = fields[fields.indexOf(from) + 1]
  if (next) next.focus()
  else from.blur()
  if (next instanceof HTMLInputElement) next.select()
}
