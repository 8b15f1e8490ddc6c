/** Enter goes to the next thing to measure; from the last one to the first button behind it that acts. */
export function focusNextLength(from: HTMLElement): void {
  const fields = [...document.querySelectorAll<HTMLElement>('[data-length-field], [data-next]')]
  const next = fields[fields.indexOf(from) + 1]
  next?.focus()
  if (next instanceof HTMLInputElement) next.select()
}
