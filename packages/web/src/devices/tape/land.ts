import { focusNextLength } from '../../parts/focus-next-length'

/** Types a reading into the length field that has the cursor, and goes on to the next; false where none has. */
export function landReading(text: string): boolean {
  const field = document.activeElement
  if (!(field instanceof HTMLInputElement) || !field.matches('[data-length-field]')) return false
  // As a hand types it: the field’s own setter would hide the change from React.
  const value = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')
  value?.set?.call(field, text)
  field.dispatchEvent(new Event('input', { bubbles: true }))
  focusNextLength(field)
  return true
}
