import type { ObjectKind, SpineShape } from '@snowdrift/core'

export const kindWords: Readonly<Record<ObjectKind, { readonly name: string; readonly which: string }>> = {
  hardcover: { name: 'Hardcover book', which: 'stiff boards, a spine of its own' },
  softcover: { name: 'Softcover book', which: 'a limp paper cover' },
  notebook: { name: 'Notebook', which: 'stitched, glued or coil-bound' },
  planner: { name: 'Planner', which: 'on a coil, discs or rings' },
  journal: { name: 'Journal', which: 'loose signatures that the cover itself will hold' },
  tablet: { name: 'Tablet or reader', which: 'any flat, rigid device' },
}

export const spineWords: Readonly<Record<SpineShape, string>> = {
  flat: 'flat',
  rounded: 'rounded',
  coil: 'a coil or discs',
}
