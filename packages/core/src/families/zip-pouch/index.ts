import { findingWhen, type Finding } from '../../finding/finding.js'
import { checkFit } from '../../fit/fit.js'
import { add, scale, shortest, subtract, zero } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { defineFamily, type Job } from '../contract.js'
import {
  deviceEase,
  deviceOf,
  deviceReadings,
  checkThicknessKnown,
  pouchSection,
  wallCuts,
  wallPanels,
} from '../device.js'
import { piled, piledNotion, type Joining } from '../joining.js'
import { caughtIn, seamBulk } from '../seam.js'
import { takenFrom } from '../sized.js'
import { centred, level, plainStrip, upright, type Strip } from '../strip.js'
import type { Piece } from '../../piece/piece.js'
import { options, resolveOptions, type ResolvedOptions, type ZipPouchOptions } from './options.js'
import { cutPieces, zipFor } from './pieces.js'
import { recipes } from './recipes.js'
import { sizeWall, type Wall } from './size.js'
import { suits, words } from './words.js'

export const zipPouch = defineFamily<ZipPouchOptions>({
  id: 'zip-pouch',
  version: 1,
  words,
  traits: ['device', 'turned', 'seamed', 'lined', 'zipped'],
  suits,
  requiredReadings: deviceReadings,
  besideOldCover: [],
  boardCounts: false,
  severalObjects: false,
  ruleMeasures: ['device'],
  defaultSeam: unit => customary(1 / 4, unit),
  defaultEase: () => deviceEase,
  options,
  resolveOptions,
  unused: ({ pocket }) => (pocket === true ? [] : ['pocketDrop', 'scoopWidth', 'scoopDepth']),
  recipes,
  plan: job => {
    const resolved = resolveOptions(job)
    const wall = sizeWall(job, resolved)
    const pieces = cutPieces(job, wall, resolved)
    const { stack, seam } = job
    return {
      pieces,
      notions: [zipFor(job, wall, resolved)],
      standOff: { body: wall.bulk },
      fits: [wall.fitWidth, wall.fitHeight],
      findings: [
        ...checkFit(wall.fitWidth),
        ...checkFit(wall.fitHeight),
        ...checkThicknessKnown(job.object),
        ...checkFlatness(job),
        ...checkZip(job, wall),
      ],
      allowances: takenFrom(wall, { width: wall.fitWidth.finished, height: wall.fitHeight.finished }),
      seams: [seamBulk('side seam', scale(caughtIn(stack, seam), 2))],
      strip: layStrip(job, wall, pieces, resolved),
      section: pouchSection(deviceOf(job.object, job.inside), stack, 'seam'),
      joinings: joinings(pieces),
    }
  },
})

/** A flat pouch takes a quarter of its shorter side; beyond that its walls stand off. Source: docs/craft.md, Zip pouch. */
function checkFlatness({ object, inside }: Job<ZipPouchOptions>): readonly Finding[] {
  const { width, height, thickness } = deviceOf(object, inside)
  const most = scale(shortest(width, height), 1 / 4)
  return findingWhen(thickness > most, 'too-thick-for-flat', 'family', { thickness, most })
}

function checkZip({ object, inside }: Job<ZipPouchOptions>, { fitWidth }: Wall): readonly Finding[] {
  const { width, thickness } = deviceOf(object, inside)
  const wanted = add(width, thickness)
  const opening = fitWidth.finished
  return findingWhen(opening < wanted, 'zip-opening-too-small', 'fit:width', { opening, wanted })
}

function layStrip(
  job: Job<ZipPouchOptions>,
  wall: Wall,
  pieces: readonly Piece[],
  { scoopWidth, scoopDepth }: ResolvedOptions,
): Strip {
  const width = wall.fitWidth.finished
  const high = wall.fitHeight.finished
  const total = scale(width, 2)
  const edge = add(job.seam, wall.turnedEdge)
  const pocket = pieces.find(({ id }) => id === 'pocket-outer')
  const padding = pieces.find(({ id, trimTo }) => id === 'padding' && !trimTo)
  const low = pocket ? subtract(pocket.height.cut, scale(edge, 2)) : zero
  return {
    ...plainStrip(wallPanels(width), high),
    cutPieces: wallCuts(width, { width: wall.width.cut, height: wall.height.cut }, { side: edge, top: edge }),
    areas: padding
      ? [zero, width].map(left =>
          centred('padding', [padding.width.cut, padding.height.cut], { left, room: width, high }),
        )
      : [],
    lines: [
      ...[zero, width, total].map(x => upright('seam', x, high)),
      level('seam', high, zero, total),
      level('zip', zero, zero, width),
      level('zip', zero, width, total),
    ],
    shapes: pocket
      ? [
          {
            piece: 'pocket-outer',
            name: 'pocket',
            face: 'outside',
            at: [width, subtract(high, low)],
            width,
            height: low,
            scoop: { width: scoopWidth ?? scale(pocket.width.cut, 1 / 2), depth: scoopDepth },
          },
        ]
      : [],
  }
}

function joinings(pieces: readonly Piece[]): readonly Joining[] {
  const has = (id: string) => pieces.some(piece => piece.id === id)
  const lining = has('lining') ? [piled('lining', 'right side down')] : []
  return [
    ...(has('pocket-lining')
      ? [
          {
            id: 'pocket-mouth',
            name: 'Sew the curved mouth of the pocket, snip it, turn it',
            layers: [piled('pocket-outer', 'right side up'), piled('pocket-lining', 'right side down')],
            edges: ['top'],
            how: 'stitch',
            seenFrom: 'the wrong side of the pocket lining',
          } as const,
        ]
      : []),
    {
      id: 'zip',
      name: 'Zip between outer and lining, along the top of each wall',
      layers: [
        piled('outer', 'right side up'),
        piledNotion('zip', 'zip, teeth to the outer', 'right side down', 'top'),
        ...lining,
      ],
      edges: ['top'],
      how: 'stitch',
      seenFrom: 'the wrong side of the lining',
    },
    {
      id: 'close-round',
      name: 'Outers together, linings together; zip half open, its teeth towards the lining',
      layers: [
        piled('outer', 'right side up', undefined, 'back'),
        ...(has('pocket-outer')
          ? [piled('pocket-outer', 'right side down', 'bottom', 'pocket, on the front')]
          : []),
        piled('outer', 'right side down', undefined, 'front'),
      ],
      edges: ['left', 'right', 'bottom'],
      how: 'stitch',
      opening: has('lining') ? 'lining-bottom' : 'bottom',
      seenFrom: has('lining') ? 'the wrong side; the opening is in the lining’s bottom' : 'the wrong side',
    },
  ]
}
