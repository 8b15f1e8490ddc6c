import { inches, mm, type Length } from '../length/length.js'
import type { ReadingKey } from './reading.js'

/** A thing of a standard size, for whoever cannot lay a tape on it. How large it is, its readings say. */
export interface StandardSize {
  readonly id: string
  readonly name: string
  readonly readings: Readonly<Partial<Record<ReadingKey, Length>>>
}

const closed = (height: Length, width: Length, thickness?: Length): StandardSize['readings'] => ({
  height,
  width,
  ...(thickness !== undefined && { thickness }),
})
const pages = (pageHeight: Length, pageWidth: Length): StandardSize['readings'] => ({ pageHeight, pageWidth })

/** Paper that is bound along its long side, exercise books and pads: upright, closed. Thickness where it is usual. */
export const standardThings: readonly StandardSize[] = [
  { id: 'a4-book', name: 'A4 upright', readings: closed(mm(297), mm(210)) },
  { id: 'a5-book', name: 'A5 upright', readings: closed(mm(210), mm(148)) },
  { id: 'a6-book', name: 'A6 upright', readings: closed(mm(148), mm(105)) },
  { id: 'b5-book', name: 'B5 upright', readings: closed(mm(250), mm(176)) },
  { id: 'a4-exercise', name: 'Exercise book, A4', readings: closed(mm(297), mm(210), mm(5)) },
  { id: 'a5-exercise', name: 'Exercise book, A5', readings: closed(mm(210), mm(148), mm(4)) },
  { id: 'letter-book', name: 'Letter upright', readings: closed(inches(11), inches(8.5)) },
  { id: 'half-letter-book', name: 'Half letter', readings: closed(inches(8.5), inches(5.5)) },
  {
    id: 'composition-book',
    name: 'Composition book',
    readings: closed(inches(9.75), inches(7.5), inches(0.5)),
  },
]

/** Sheets folded once in the middle, as signatures are made of them. */
export const standardPages: readonly StandardSize[] = [
  { id: 'a4-folded', name: 'A4 folded', readings: pages(mm(210), mm(148.5)) },
  { id: 'a5-folded', name: 'A5 folded', readings: pages(mm(148), mm(105)) },
  { id: 'a3-folded', name: 'A3 folded', readings: pages(mm(297), mm(210)) },
  { id: 'letter-folded', name: 'Letter folded', readings: pages(inches(8.5), inches(5.5)) },
  { id: 'legal-folded', name: 'Legal folded', readings: pages(inches(8.5), inches(7)) },
]
