import { zero } from '../../length/length.js'
import type { Direction, FitFindings } from '../data/fit-findings.js'
import type { SayLength } from '../say.js'
import type { WordsOf } from './words-of.js'

export const fitFindingWords: WordsOf<FitFindings> = {
  'will-not-go': ({ direction, short, stretch }, say) => ({
    message: `The cover would be ${say(short)} too ${tooLittle(direction)}.`,
    hint: `The cloth gives ${stretch > zero ? `only ${say(stretch)}` : 'nothing'} there. Add at least ${say(short)}, or take thinner layers.`,
  }),
  'tight-but-goes': ({ direction, short, stretch }, say) => ({
    message: `The cover is ${say(short)} too ${tooLittle(direction)} and goes on only because the cloth gives ${say(stretch)}.`,
    hint: 'It strains the book and the seams. Add a little, or take thinner layers.',
  }),
  'drum-tight': ({ direction, ease }, say) => ({
    message: `Only ${say(ease)} of ease ${direction === 'width' ? 'round the book' : 'from top to bottom'}: drum-tight.`,
    hint: 'One seam sewn a hair wide and it will not go on. Sew exactly, or add a little.',
  }),
  baggy: ({ direction, ease, most }, say) => ({
    message: `${say(ease)} of ease ${direction === 'width' ? 'round the book' : 'from top to bottom'}: baggy.`,
    hint: `Above ${say(most)} it hangs slack. Take less ease, a smaller amount or another recipe.`,
  }),
  'flap-too-deep': ({ depth, deepest }, say) => ({
    message: `The flaps are ${say(depth)} deep; the board takes ${say(deepest)} at the most.`,
    hint: `A flap that reaches the hinge strains it. Take ${say(deepest)} or less.`,
  }),
  'will-it-go-in': ({ depth, deepest, opens }, say) => ({
    message: `The covers do not fold back, and flaps ${say(depth)} deep are more than half the board.`,
    hint: opens
      ? `Leave the inner half of the flaps unsewn, and they slide in; or take flaps of ${say(deepest)} or less.`
      : `The boards could not be slid in without bending. Take ${say(deepest)} or less.`,
  }),
  'opening-small': ({ left, wanted, deepest }, say) => ({
    message: `Between the flaps ${say(left)} is left to turn the cover through; ${say(wanted)} is comfortable.`,
    hint: `It turns through less with patience.${deepest > zero ? ` Flaps of ${say(deepest)} leave it.` : ''}`,
  }),
  'opening-too-small': ({ left, wanted, deepest }, say) => ({
    message: `Between the flaps ${left > zero ? say(left) : 'nothing'} is left to turn the cover through; ${say(wanted)} is wanted.`,
    hint:
      deepest > zero
        ? `Flaps of ${say(deepest)} leave it.`
        : 'Leave the opening in a flap instead, or turn it before the flaps go on.',
  }),
  'flap-too-shallow': ({ depth, least }, say) => ({
    message: `The flaps come out ${depth > zero ? `${say(depth)} deep` : 'at nothing'}; below ${say(least)} a board slips out.`,
    hint: `Cut ${say(twice(least, depth))} wider, or take a deeper flap.`,
  }),
  'book-not-served': ({ book, reason, found, limit }, say) => ({
    message: `Book ${book} is not served: ${notServed(reason, say(found), say(limit))}`,
    hint: 'Give it a cover of its own, or change the free end, the fixed flap or the taper.',
  }),
  'corner-pinches': ({ clear, wanted, largest }, say) => ({
    message: `The rounded corners need ${say(wanted)} clear at each edge; there is ${clear > zero ? say(clear) : 'none'}.`,
    hint:
      largest > zero
        ? `Round them by ${say(largest)} at the most, or add ease.`
        : 'Leave the corners square, or add ease.',
  }),
  'stiffer-first': ({ stiffer }) => ({
    message: `The ${stiffer} cover is the stiffer one.`,
    hint: `Slide it in first, then bend the ${stiffer === 'front' ? 'back' : 'front'} cover into its flap.`,
  }),
  'old-cover-large': ({ direction, finished, needed, nearest }, say) => ({
    message: `The old cover measures ${say(finished)} ${direction === 'width' ? 'round the thing' : 'from top to bottom'}; by its readings the thing needs ${say(needed)}.`,
    hint: `Was it measured with its seams, or does it belong to another thing? ${say(nearest)} would be the largest that does not hang slack.`,
  }),
  'too-thick-for-flat': ({ thickness, most }, say) => ({
    message: `It is ${say(thickness)} thick; a flat pouch of this size takes ${say(most)} at the most.`,
    hint: 'Beyond that its sides stand off and the corners gape. Take a case that has a spine or a gusset.',
  }),
  'zip-opening-too-small': ({ opening, wanted }, say) => ({
    message: `The zip opens ${say(opening)}; the device needs ${say(wanted)}, its width and its thickness.`,
    hint: `Add ${say((wanted - opening) as typeof wanted)} to the width.`,
  }),
  'page-not-flat': ({ thickness, most }, say) => ({
    message: `Pockets and what they hold come to ${say(thickness)}; above ${say(most)} the page no longer lies flat.`,
    hint: 'Carry less, or move a pocket to the other flap or to the outside.',
  }),
}

function tooLittle(direction: Direction): string {
  return direction === 'width' ? 'short to close round it' : 'short to slip over it'
}

function notServed(reason: FitFindings['book-not-served']['reason'], found: string, limit: string): string {
  switch (reason) {
    case 'grip-too-short':
      return `its free end is ${found} long and grips from ${limit} on.`
    case 'free-too-long':
      return `its free end is ${found} long; inside the board there is room for ${limit}.`
    case 'fixed-too-long':
      return `the fixed flap is ${found} deep; its board takes ${limit}.`
    case 'too-short':
      return `it is ${found} shorter than the tallest; up to ${limit} is held.`
    case 'strap-on-fold':
      return `with ${found} of free end the strap would lie on the fold at the fore-edge; ${limit} would do.`
  }
}

function twice(least: Parameters<SayLength>[0], depth: Parameters<SayLength>[0]) {
  return ((least - depth) * 2) as typeof least
}
