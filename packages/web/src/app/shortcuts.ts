/** Every shortcut, for the list under `?`. */
export const shortcuts: readonly (readonly [keys: string, does: string])[] = [
  ['s', 'to the shelf'],
  ['n', 'cover something new'],
  ['1 … 8', 'to a station of the cover'],
  ['c', 'to the stash of cloth'],
  ['t', 'to the plan of time'],
  ['l', 'to the log'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['v', 'the picture: the thing, or its cover'],
  ['p', 'the cutting list, to print'],
  ['↑ ↓', 'in a length: a mark of the tape more or less'],
  ['Enter', 'in a length: to the next thing to measure'],
  ['← → ↑ ↓', 'on a piece of the layout: moves it by a mark, with shift by eight'],
  ['Enter', 'on a piece of the layout: pins it, or unpins it'],
  ['r', 'on a piece of the layout: turns it by a quarter'],
  ['Space', 'at the table: done, and on to the next step'],
  ['y n', 'at the table: yes or no to the check'],
  ['← →', 'at the table: back and on'],
  ['?', 'this list'],
]

/** Whether the key was meant for a field. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target
  return (
    target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) && !isPicked(target)
  )
}

/** Radio buttons and check boxes take no text. */
function isPicked(target: HTMLElement): boolean {
  return target instanceof HTMLInputElement && /^(radio|checkbox)$/.test(target.type)
}
