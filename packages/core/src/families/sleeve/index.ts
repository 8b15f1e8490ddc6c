import { checkFit } from '../../fit/fit.js'
import { scale, zero } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { outerOf, totalThickness } from '../../material/layer.js'
import { defineFamily, type Job } from '../contract.js'
import { deviceEase, deviceOf, deviceReadings, pouchSection } from '../device.js'
import { piled, type Joining } from '../joining.js'
import { caughtIn, seamBulk } from '../seam.js'
import { options, resolveOptions, type ResolvedOptions, type SleeveOptions } from './options.js'
import { cutPieces } from './pieces.js'
import { boundSeam, recipes } from './recipes.js'
import { sizeWall } from './size.js'
import { layStrip } from './strip.js'
import { suits, words } from './words.js'

export const sleeve = defineFamily<SleeveOptions>({
  id: 'sleeve',
  version: 1,
  words,
  traits: ['device', 'open-top', 'turned', 'seamed', 'lined'],
  suits,
  requiredReadings: deviceReadings,
  boardCounts: false,
  severalObjects: false,
  ruleMeasures: ['device'],
  defaultSeam: (unit, { edge }) => (edge === 'bound' ? boundSeam(unit) : customary(1 / 4, unit)),
  defaultEase: () => deviceEase,
  defaultInset: role => (role === 'padding' ? zero : undefined),
  options,
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
      findings: [...checkFit(wall.fitWidth), ...checkFit(wall.fitHeight)],
      seams: [sideSeam(job, resolved)],
      strip: layStrip(job, wall, resolved),
      section: pouchSection(deviceOf(job.object, job.inside), job.stack, 'seam'),
      joinings: resolved.edge === 'bound' ? boundJoinings(job) : turnedJoinings(job),
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

function turnedJoinings({ stack }: Job<SleeveOptions>): readonly Joining[] {
  const lining = stack.some(({ role }) => role === 'lining')
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
            name: 'Sew the linings, side seams {⅛ in} deeper, an opening in the bottom',
            layers: [piled('lining', 'right side up'), piled('lining', 'right side down')],
            edges: ['left', 'right', 'bottom'],
            how: 'stitch',
            opening: true,
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
      seenFrom: 'the mouth',
    },
  ]
}

function boundJoinings({ stack }: Job<SleeveOptions>): readonly Joining[] {
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
    {
      id: 'bind-mouths',
      name: 'Bind the mouth of each wall',
      layers: [...wall('wall', true), piled('mouth-binding', 'right side down', 'top')],
      edges: ['top'],
      how: 'stitch',
      seenFrom: 'the outside of the wall',
    },
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
