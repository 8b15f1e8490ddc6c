import type { MakeLog } from '../../api/makes.js'
import type { Cover } from '../../file/cover.js'
import { formatLength } from '../../length/format.js'
import { toMm } from '../../length/length.js'
import type { Unit } from '../../length/unit.js'
import type { Plan } from '../../plan/plan.js'
import { directions } from '../learning/make-record.js'
import { madeKey } from '../made-sizes.js'
import type { Progress } from '../progress.js'
import type { Making } from '../plan-steps.js'
import { stepTimes } from './took.js'

/** What is known when a make is put into the log. */
export interface MakeToLog {
  readonly cover: Cover
  /** As it was planned, before anything was cut otherwise. */
  readonly planned: Plan
  /** Its steps with the minutes that everybody is given, not the maker’s own. */
  readonly making: Making
  readonly progress: Progress
  /** The unit in which sizes were typed at the table. */
  readonly unit: Unit
  /** An ISO day. */
  readonly finished: string
  /** 0 to 1, as it was foretold; absent where nothing can fit or fail to. */
  readonly chance?: number
}

/** The log of a make with everything that the table knows: nothing of it is asked again. */
export function beginLog({ cover, planned, making, progress, unit, finished, chance }: MakeToLog): MakeLog {
  const outer = planned.pieces.find(({ id }) => id === 'outer')
  const typed = (of: 'piece' | 'sewn', side: 'width' | 'height') =>
    progress.made[madeKey(of === 'piece' ? { piece: 'outer', side } : { sewn: 'outer', side })]?.typed
  const sizes = (of: 'piece' | 'sewn') =>
    Object.fromEntries(directions.flatMap(side => entry(side, typed(of, side) ?? '')))
  const fits = planned.fits.filter(({ thing }) => thing === 0)
  return {
    name: cover.name,
    family: cover.family.id,
    unit,
    finished,
    planned: {
      cutMm: outer
        ? Object.fromEntries(directions.map(side => [side, toMm(outer.trimTo?.[side] ?? outer[side].cut)]))
        : {},
      allowancesMm: planned.allowances
        ? { width: toMm(planned.allowances.width), height: toMm(planned.allowances.height) }
        : {},
      edges: { width: 2, height: 2 },
      seams: planned.allowances
        ? Object.fromEntries(
            directions.map(side => [
              side,
              fits.find(({ direction }) => direction === side)?.making.seamLines || bothEdges,
            ]),
          )
        : {},
      easeMm: Object.fromEntries(fits.map(({ direction, ease }) => [direction, toMm(ease)])),
      ...(chance !== undefined && { chance }),
      seam: formatLength(planned.settled.seam, cover.unit),
      layers: cover.stack.map(({ role, name }) => (name ? `${role}: ${name}` : role)),
    },
    cut: sizes('piece'),
    sewn: sizes('sewn'),
    wentOn: {},
    fit: null,
    times: [...stepTimes(progress, making.steps)],
    mends: making.steps.flatMap(({ id, name, check }) =>
      check && progress.steps[id]?.answer === 'mended'
        ? [{ step: id, name, what: check.ifNot.slice(0, 500), cost: check.cost }]
        : [],
    ),
    photos: [],
    stitch: {
      stitch: making.stitch ? 'straight' : '',
      length: making.stitch?.length ?? '',
      width: '',
      tension: '',
      needle: making.stitch?.needle ?? '',
      thread: '',
      layers: making.stitch ? `${formatLength(making.stitch.bulk, unit)} in all` : '',
    },
    threading: '',
    template: { place: '', version: '' },
    notes: '',
    cost: '',
    price: '',
    care: '',
    regrets: [],
    reminders: [],
  }
}

/** Sewn along both edges. */
const bothEdges = 2

function entry(side: string, typed: string) {
  return typed === '' ? [] : [[side, typed] as const]
}
