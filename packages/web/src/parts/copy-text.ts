/** Copies a text for pasting elsewhere; false where this browser lets no page do so. */
export async function copyText(text: string): Promise<boolean> {
  // On plain addresses in a home network there is no clipboard.
  const { clipboard } = navigator as { readonly clipboard?: Clipboard }
  try {
    if (!clipboard) return copySelected(text)
    await clipboard.writeText(text)
    return true
  } catch {
    return copySelected(text)
  }
}

/** As a person would do it: select and copy. */
function copySelected(text: string): boolean {
  const field = Object.assign(document.createElement('textarea'), { value: text, readOnly: true })
  field.className = 'sr-only'
  const before = document.activeElement
  document.body.append(field)
  field.select()
  // eslint-disable-next-line @typescript-eslint/no-deprecated -- where there is no clipboard there is only this
  const isCopied = document.execCommand('copy')
  field.remove()
  if (before instanceof HTMLElement) before.focus()
  return isCopied
}
