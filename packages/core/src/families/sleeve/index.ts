import { checkFit } from '../../fit/fit.js'
import { scale, subtract, zero } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { layerOf, outerOf, totalThickness } from '../../material/layer.js'
import { turnOfCloth } from '../../material/stand-off.js'
import { defineFamily, type Job } from '../contract.js'
import { checkThicknessKnown, deviceEase, deviceOf, deviceReadings, pouchSection } from '../device.js'
import { piled, type Joining } from '../joining.js'
import { caughtIn, seamBulk } from '../seam.js'
import { takenFrom } from '../sized.js'
import { options, resolveOptions, type ResolvedOptions, type SleeveOptions } from './options.js'
import { cutPieces } from './pieces.js'
import { boundSeam, recipes } from './recipes.js'
import { sizeWall, type Wall } from './size.js'
import { layStrip } from './strip.js'
import { suits, words } from './words.js'

export const sleeve = defineFamily<SleeveOptions>({
  id: 'sleeve',
  version: 1,
  words,
  traits: ['device', 'open-top', 'turned', 'seamed', 'lined'],
  suits,
  requiredReadings: deviceReadings,
  besideOldCover: [],
  boardCounts: false,
  severalObjects: false,
  ruleMeasures: ['device'],
  defaultSeam: (unit, { edge }) => (edge === 'bound' ? boundSeam(unit) : customary(1 / 4, unit)),
  defaultEase: () => deviceEase,
  defaultInset: role => (role === 'padding' ? zero : undefined),
  options,
  unused: ({ edge, quilted }) => [
    ...(edge === 'bound' ? ['turningOpening'] : ['bindingWidth', 'mouth']),
    ...(quilted === true ? [] : ['quiltBothWays', 'trimAllowance']),
  ],
  resolveOptions: job => {
    const resolved = resolveOptions(job)
    const binding = cutPieces(job, sizeWall(job, resolved), resolved).find(({ id }) => id === 'binding')
    return { ...resolved, ...(binding && { bindingWidth: binding.height.cut }) }
  },
  recipes,
  plan: job => {
    const resolved = resolveOptions(job)
    const wall = sizeWall(job, resolved)
    return {
      pieces: cutPieces(job, wall, resolved),
      notions: [],
      standOff: { body: wall.bulk },
      fits: [wall.fitWidth, wall.fitHeight],
      findings: [...checkFit(wall.fitWidth), ...checkFit(wall.fitHeight), ...checkThicknessKnown(job.object)],
      allowances: takenFrom(wall, { width: wall.fitWidth.finished, height: wall.fitHeight.finished }),
      seams: [sideSeam(job, resolved)],
      strip: layStrip(job, wall, resolved),
      section: pouchSection(deviceOf(job.object, job.inside), job.stack, 'seam'),
      joinings: resolved.edge === 'bound' ? boundJoinings(job, resolved) : turnedJoinings(job, wall),
    }
  },
})

/** Turned, the outers are joined with their padding and the linings on their own; bound, all of both walls at once. */
function sideSeam({ stack, seam }: Job<SleeveOptions>, { edge }: ResolvedOptions) {
  if (edge === 'bound')
    return seamBulk('bound seam', scale(totalThickness(stack), 2), scale(outerOf(stack).thickness, 4))
  const padded = stack.filter(({ role }) => role !== 'lining')
  return seamBulk('side seam', scale(caughtIn(padded, seam), 2))
}

/**
 * How much deeper a padded sleeve’s lining is sewn at its sides, so that it does not bunch: ⅛ in where the padding takes
 * that much of the room inside, else half of it. Source: docs/craft.md, Sleeve.
 */
function deeperAtSides({ stack, unit }: Job<SleeveOptions>, { bulk }: Wall): string | undefined {
  const lining = layerOf(stack, 'lining')
  if (!lining || !layerOf(stack, 'padding')) return undefined
  const room = turnOfCloth(subtract(bulk, scale(lining.thickness, 1 / 2)))
  return scale(customary(1 / 8, unit), 2) <= room ? '{⅛ in}' : '{1/16 in}'
}

function turnedJoinings(job: Job<SleeveOptions>, wall: Wall): readonly Joining[] {
  const { stack } = job
  const lining = stack.some(({ role }) => role === 'lining')
  const deeper = deeperAtSides(job, wall)
  return [
    {
      id: 'join-outers',
      name: 'Sew the quilted walls together along sides and bottom',
      layers: [
        piled('outer', 'right side up', undefined, 'back wall'),
        piled('outer', 'right side down', undefined, 'front wall'),
      ],
      edges: ['left', 'right', 'bottom'],
      how: 'stitch',
      seenFrom: 'the padding of the front wall',
    },
    ...(lining
      ? [
          {
            id: 'join-linings',
            name: deeper ? `Sew the linings, side seams ${deeper} deeper` : 'Sew the linings',
            layers: [piled('lining', 'right side up'), piled('lining', 'right side down')],
            edges: ['left', 'right', 'bottom'],
            how: 'stitch',
            seenFrom: 'the wrong side of a lining',
          } as const,
        ]
      : []),
    {
      id: 'mouth',
      name: 'Drop the lining in, turn the mouth in and stitch {⅛ in} from the edge',
      layers: [
        piled('outer', 'right side down', undefined, 'the walls, inside out'),
        ...(lining ? [piled('lining', 'right side up', undefined, 'lining, dropped in')] : []),
      ],
      edges: ['top'],
      how: 'stitch',
      opening: 'mouth',
      seenFrom: 'the mouth',
    },
  ]
}

function boundJoinings({ stack }: Job<SleeveOptions>, { mouth }: ResolvedOptions): readonly Joining[] {
  const inner = ['padding', 'lining'].filter(role => stack.some(layer => layer.role === role))
  const wall = (name: string, up: boolean) => {
    const plies = [
      piled('outer', up ? 'right side up' : 'right side down', undefined, `${name}, outer`),
      ...inner.map(role =>
        piled(role, up ? 'right side down' : 'right side up', undefined, `${name}, ${role}`),
      ),
    ]
    return up ? plies.toReversed() : plies
  }
  return [
    ...(mouth === 'bound'
      ? [
          {
            id: 'bind-mouths',
            name: 'Bind the mouth of each wall',
            layers: [...wall('wall', true), piled('mouth-binding', 'right side down', 'top')],
            edges: ['top'],
            how: 'stitch',
            seenFrom: 'the outside of the wall',
          } as const,
        ]
      : []),
    {
      id: 'join-walls',
      name: 'Linings facing, seam outside, long stitches; then bind three sides',
      layers: [...wall('back', false), ...wall('front', true), piled('binding', 'right side down', 'bottom')],
      edges: ['left', 'right', 'bottom'],
      how: 'stitch',
      seenFrom: 'the outside of the front',
    },
  ]
}
