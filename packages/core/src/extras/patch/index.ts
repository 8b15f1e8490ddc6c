import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { placePanels } from '../../families/strip.js'
import { findingWhen } from '../../finding/finding.js'
import { mm, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { because, twice } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { defineExtra, extraPlan, type ExtraJob, type Ground } from '../contract.js'
import { type Place, anyPlace } from '../place-keys.js'
import { findGround, footprintOn, placeOn, placeOptions } from '../place.js'

interface PatchOptions extends Place {
  readonly width?: Length | undefined
  readonly height?: Length | undefined
}

/** A label or a motif, turned under ¼ in, on one layer before layers join. Source: docs/craft.md, Trimmings. */
export const patch = defineExtra<PatchOptions>({
  type: 'patch',
  version: 1,
  words: { name: 'Label or motif', summary: 'A patch stitched to the outside before the layers are joined.' },
  group: 'trimming',
  refuses: () => undefined,
  places: anyPlace,
  options: unit =>
    z.strictObject({
      width: lengthOption(
        unit,
        { min: mm(5), max: mm(600) },
        { label: 'Width', help: 'Finished. {3 in} unless set.' },
      ),
      height: lengthOption(
        unit,
        { min: mm(5), max: mm(600) },
        { label: 'Height', help: 'Finished. {2 in} unless set.' },
      ),
      ...placeOptions(unit),
    }),
  plan: job => {
    const { unit, grid, options, about, cover } = job
    const ground = findGround(cover, options.on, ['outer'])
    if (!ground)
      return extraPlan({
        findings: findingWhen(true, 'extra-not-carried', about, {
          extra: 'Label or motif',
          why: `there is no piece “${options.on ?? 'outer'}” to sew it on.`,
        }),
      })
    const size = { width: options.width ?? customary(3, unit), height: options.height ?? customary(2, unit) }
    const at = placeOn(usualGround(job, ground), options, size, [0.5, 0.62])
    const under = twice('turned under', customary(1 / 4, unit))
    return extraPlan({
      pieces: [
        {
          id: 'patch',
          role: 'trim',
          count: 1,
          width: sideRoundedUp([...because('finished width', size.width), ...under], grid),
          height: sideRoundedUp([...because('finished height', size.height), ...under], grid),
        },
      ],
      shapes: [{ piece: 'patch', name: 'label', face: ground.face, at, ...size }],
      footprints: [footprintOn(ground, at, size)],
    })
  },
})

/** Where nobody says where it goes, the middle of the front. */
function usualGround({ cover, options }: ExtraJob<PatchOptions>, ground: Ground): Ground {
  const front = placePanels(cover.strip.panels).findLast(({ side }) => side === 'front')
  if (options.x !== undefined || options.on !== undefined || !front) return ground
  return { ...ground, at: [front.x, ground.at[1]], width: front.width }
}
