import { clothOf } from '../material/cut-from.js'
import type { Material } from '../material/material.js'
import type { Role } from '../material/role.js'
import { readingWords } from '../object/reading-words.js'
import { largestReading, type CoveredObject, type ReadingKey } from '../object/reading.js'
import type { Piece } from '../piece/piece.js'
import { cutId } from './assembled.js'
import { saySize, type Bench } from './bench.js'
import type { Draft } from './draft.js'
import { cuttingMinutes, rates, waits } from './minutes.js'
import { toMm } from '../length/length.js'

const clothRoles: ReadonlySet<Role> = new Set(['outer', 'lining', 'underlining', 'trim', 'binding'])

export interface Beginning {
  readonly cover: string
  readonly object: CoveredObject
  /** Sewn and turned work is washed; glued work is not. */
  readonly isWashed: boolean
  readonly nameOf: (piece: string) => string
}

/** Measuring, washing, pressing, straightening, and the cutting out of every piece, large ones first. */
export function beginning(bench: Bench, about: Beginning): readonly Draft[] {
  const cloths = clothsOf(bench)
  const pressed = cloths.length > 0
  return [
    measureThing(bench, about.object),
    ...(about.isWashed ? cloths.filter(needsWashing).map(washing) : []),
    ...(pressed ? [pressCloth(bench, cloths, about), straighten(cloths)] : []),
    ...bench.pieces
      .toSorted((one, other) => areaOf(other) - areaOf(one))
      .map(piece => cutting(bench, piece, about)),
  ]
}

function areaOf({ width, height }: Piece): number {
  return toMm(width.cut) * toMm(height.cut)
}

/** Every cloth once that something is cut from. */
function clothsOf(bench: Bench): readonly Material[] {
  const used = bench.pieces
    .filter(({ role }) => clothRoles.has(role))
    .flatMap(({ id, role }) => clothOf(bench, id, role) ?? [])
  return [...new Set(used)]
}

const needsWashing = ({ shrinkage, washed }: Material) => shrinkage > 0 && !washed

function measureThing({ say }: Bench, object: CoveredObject): Draft {
  const { readings } = object
  const count = Object.values(readings).flat().length
  const taken = (Object.keys(readings) as ReadingKey[]).flatMap(key => {
    const largest = largestReading(object, key)
    return largest === undefined ? [] : [`${readingWords[key].name.toLowerCase()} ${say(largest)}`]
  })
  return {
    id: 'measure-thing',
    kind: 'measure',
    place: 'table',
    minutes: Math.max(1, count) * rates.reading,
    name: 'Measure once more',
    does: `Before the first cut take the readings again that the cover rests on: ${listed(taken)}. ${howToMeasure(object)}`,
    why: 'A reading that is wrong by an eighth is the commonest reason why a cover does not fit.',
    tools: ['tape'],
    check: {
      ask: 'Are they what the plan was made from?',
      ifNot: 'Change the reading in the plan: every piece follows.',
      cost: 'cheap',
    },
  }
}

/** Leaves give way under the tape; a device does not. */
function howToMeasure({ kind }: CoveredObject): string {
  return kind === 'tablet'
    ? 'Leave on it whatever stays on it in its cover.'
    : 'The leaf block upright, thickness under a light hand.'
}

function washing(cloth: Material, index: number): Draft {
  return {
    id: `wash-${index + 1}`,
    kind: 'wash',
    place: 'table',
    minutes: rates.straightening,
    wait: waits.washAndDry,
    name: `Wash the ${nameOfCloth(cloth)}`,
    does: `Wash and dry ${nameOfCloth(cloth)} as the cover will be washed: it shrinks by ${cloth.shrinkage} %.`,
    why: 'What shrinks now does not shrink on the book.',
  }
}

function nameOfCloth({ name, role }: Material): string {
  return name || role
}

function pressCloth(bench: Bench, cloths: readonly Material[], { isWashed }: Beginning): Draft {
  return {
    id: 'press-cloth',
    kind: 'press',
    place: 'iron',
    minutes: cloths.length * rates.pressingCloth,
    name: 'Press the cloth',
    does: `Press ${listed(cloths.map(nameOfCloth))} flat, with the grain, before anything is cut.`,
    why: 'A crease that is cut over is a wrong size.',
    tools: ['iron'],
    cautions: [
      'hot-iron',
      ...(bench.pieces.some(({ role }) => role === 'clear') ? (['vinyl-iron'] as const) : []),
    ],
    needs: isWashed ? cloths.filter(needsWashing).map((_, index) => `wash-${index + 1}`) : ['measure-thing'],
  }
}

function straighten(cloths: readonly Material[]): Draft {
  return {
    id: 'straighten-cloth',
    kind: 'trim',
    place: 'cutting',
    minutes: cloths.length * rates.straightening,
    name: 'Straighten and square the cloth',
    does: `Selvedges off ${listed(cloths.map(nameOfCloth))}; one edge straight, the next square to it.`,
    why: 'Every size is measured from these two edges.',
    tools: ['ruler', 'scissors'],
    cautions: ['blades'],
    needs: ['press-cloth', 'measure-thing'],
  }
}

function cutting(bench: Bench, piece: Piece, { cover, nameOf }: Beginning): Draft {
  const { id, role, count, trimTo, blank } = piece
  const cloth = clothOf(bench, id, role)
  const from = cloth ? ` from ${nameOfCloth(cloth)}` : ''
  const { say, hands } = bench
  const oneWay = cloth?.print === 'one-way' ? ', the print upright' : ''
  const bias = blank ? ` Cut it on the bias from a square of ${say(blank.cut)}.` : ''
  const later = trimTo
    ? ` It is larger on purpose: trimmed later to ${say(trimTo.width)} × ${say(trimTo.height)}.`
    : ''
  const name = nameOf(id)
  const isCloth = clothRoles.has(role)
  const board = role === 'board' || role === 'card'
  return {
    id: cutId(id),
    kind: 'cut',
    place: 'cutting',
    minutes: cuttingMinutes(piece, cloth?.thickness),
    name: `Cut ${count > 1 ? `${count} × ` : ''}${name}`,
    does: `${count} × ${saySize(bench, piece)}${from}, width along the wrap${oneWay}.${bias}${later} Label ${count > 1 ? 'each' : 'it'}: “${name}, ${saySize(bench, piece)}”, an arrow to the top, ${insideRoles.has(role) ? 'inside' : 'outside'}, ${cover}.`,
    why: board
      ? 'Grain from head to tail: crosswise boards warp.'
      : 'A piece without a label is turned or swapped.',
    pieces: [id],
    face: 'right side',
    tools: [board ? 'knife and metal ruler' : hands.rotaryCutter ? 'rotary cutter' : 'scissors', 'label'],
    cautions: ['blades'],
    check: {
      ask: `Does it measure ${saySize(bench, piece)}, and does the arrow point to the top?`,
      ifNot:
        'Too large: trim it. Too small: say here what it measures; what is not yet cut follows, or it is cut anew.',
      cost: 'too-late',
    },
    needs: [isCloth ? 'straighten-cloth' : 'measure-thing'],
  }
}

const insideRoles: ReadonlySet<Role> = new Set(['lining', 'card', 'interfacing', 'padding', 'underlining'])

function listed(names: readonly string[]): string {
  const once = [...new Set(names)]
  if (once.length < 2) return once.join('')
  return `${once.slice(0, -1).join(', ')} and ${once.at(-1) ?? ''}`
}
