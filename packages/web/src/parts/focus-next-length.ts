/** Enter goes to the next thing to measure; from the last one, to the way on. */
export function focusNextLength(from: HTMLElement): void {
  const fields = [...document.querySelectorAll<HTMLElement>('[data-length-field]')]
  const next = fields[fields.indexOf(from) + 1]
  const onwards = document.querySelector<HTMLElement>('[data-next-station]')
  if (next) next.focus()
  else if (onwards) onwards.focus()
  else from.blur()
  if (next instanceof HTMLInputElement) next.select()
}
