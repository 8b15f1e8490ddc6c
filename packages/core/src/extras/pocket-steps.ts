import { toMm } from '../length/length.js'
import { customary } from '../length/unit.js'
import { pieceOn, saySize } from '../make/bench.js'
import type { Draft } from '../make/draft.js'
import { besideZipMinutes, hemMinutes, pressingMinutes, rates, sewingMinutes } from '../make/minutes.js'
import type { ExtraWork } from './contract.js'
import type { PocketOptions } from './pocket.js'
import { lower, sayPlace, sewOn } from './put-on.js'

/** How the mouth of a pocket is finished. */
export type PocketMouth = 'hemmed' | 'faced' | 'folded' | 'zipped'

type AnyPocket = ExtraWork<PocketOptions>

/** Its mouth first, then on the piece that carries it, before that is joined. */
export function pocketSteps(mouth: PocketMouth, lines = 0) {
  return (work: AnyPocket): readonly Draft[] => {
    const ids = work.ownPieces.map(({ id }) => id)
    if (ids.length === 0) return []
    const made = makeMouth(work, mouth, ids)
    return [made, putOn(work, ids, [made.id], lines)]
  }
}

function makeMouth(work: AnyPocket, mouth: PocketMouth, ids: readonly string[]): Draft {
  const { say, unit, name, ownPieces, ownNotions, options } = work
  const [first = ''] = ids
  const piece = pieceOn(work, first)
  const wide = toMm(piece.width.cut)
  const mouths = mouth === 'hemmed' ? ownPieces.length : 1
  const quarter = say(customary(1 / 4, unit))
  const under = options.caught === true ? '' : ` Press the other edges ${quarter} under.`
  const size = `(${saySize(work, piece)})`
  const shared = {
    id: `make-${first}`,
    pieces: ids,
    face: 'wrong side',
    tools: ['iron', 'sewing machine'],
    cautions: ['hot-iron', 'needles'],
    why: 'The mouth is finished while the pocket lies free.',
    on: { piece: first, stage: 'dress' },
    check: {
      ask: 'Is it the upper edge, the print upright below it?',
      ifNot: 'Unpick the mouth and turn the other edge.',
      cost: 'costly',
    },
  } as const
  if (mouth === 'folded' || (options.card && mouth !== 'zipped'))
    return {
      ...shared,
      kind: 'fold',
      place: 'table',
      minutes: rates.marking + rates.smoothing,
      tools: ['bone folder'],
      cautions: mouth === 'folded' ? ['vinyl-iron'] : [],
      name: `Fold the mouth of the ${lower(name)}`,
      does: `${size} Fold the upper edge over once; nothing is turned under. No iron on clear vinyl.`,
    }
  if (mouth === 'zipped')
    return {
      ...shared,
      kind: 'sew',
      place: 'machine',
      minutes: 2 * besideZipMinutes(wide) + pressingMinutes(2 * wide),
      stitchedMm: 4 * wide,
      notions: ownNotions.filter(({ kind }) => kind === 'zip').map(({ id }) => id),
      tools: ['zip foot', 'iron', 'sewing machine'],
      name: `Zip into the ${lower(name)}`,
      does: `Zip between the low strips, then between the high ones, right sides together; turn, press, top-stitch.${under}`,
    }
  if (mouth === 'faced')
    return {
      ...shared,
      kind: 'sew',
      place: 'machine',
      minutes: sewingMinutes(wide) * 2 + rates.turning + pressingMinutes(wide),
      stitchedMm: 2 * wide,
      name: `Face the ${lower(name)}`,
      does: `${size} Outer and lining right sides together: sew the mouth, turn, press, top-stitch.${under}`,
    }
  return {
    ...shared,
    kind: 'hem',
    place: 'machine',
    minutes: mouths * hemMinutes(wide) + pressingMinutes(2 * toMm(piece.height.cut) + wide),
    stitchedMm: mouths * wide,
    name: `Hem the mouth of the ${lower(name)}`,
    does: `${size} Turn the upper edge ${quarter} twice and stitch.${under}`,
  }
}

function putOn(work: AnyPocket, ids: readonly string[], needs: readonly string[], lines: number): Draft {
  const { name, carrier, options, ownPieces } = work
  const [piece] = ownPieces
  const [wide, high] = piece ? [toMm(piece.width.cut), toMm(piece.height.cut)] : [0, 0]
  const caught = options.caught === true || (Array.isArray(options.caught) && options.caught.length > 0)
  const how = caught
    ? 'Edges that the seam will catch are basted within it; the others are stitched.'
    : 'Stitch sides and foot close to the edge, back and forth at both ends of the mouth.'
  const divided = lines > 0 ? ' Stitch the lines that divide it, from the foot to the mouth.' : ''
  return sewOn(work, {
    id: `sew-on-${ids[0] ?? 'pocket'}`,
    what: `the ${lower(name)}`,
    aroundMm: 2 * high + wide + lines * high,
    pieces: ids,
    does: `On the right side of the ${carrier.replaceAll('-', ' ')}, ${sayPlace(work)}. ${how}${divided}`,
    ask: 'Does its mouth open to the top of the cover as it will be worn, and is it clear of fold, spine and seam?',
    needs,
  })
}
