import {
  formatLength,
  mm,
  planTrialBands,
  whyTrial,
  zero,
  type Cover,
  type Direction,
  type LengthRange,
  type Plan,
  type Simulation,
  type TrialBand,
  type TrialReason,
  type TypedTrial,
} from '@snowdrift/core'
import { useMemo, useState } from 'react'
import { oneStep } from '../../../drafts/draft'
import { Button } from '../../../parts/Button'
import { Length } from '../../../parts/Length'
import { LengthField } from '../../../parts/LengthField'
import { useCover } from '../cover-context'

const reasonWords: Readonly<Record<TrialReason, string>> = {
  large: 'it is large, and small errors add up',
  thick: 'it is thick, and a tape round it slips',
  uncertain: 'its readings leave much open',
}

interface TrialPieceProps {
  readonly cover: Cover
  /** Undefined while what was tried stands as nobody can read it. */
  readonly plan: Plan | undefined
  readonly simulation: Simulation | undefined
}

/** A band of scrap for each direction, and what trying it on told: it moves the plan. */
export function TrialPiece({ cover, plan, simulation }: TrialPieceProps) {
  const { file, change } = useCover()
  const bands = useMemo(() => planTrialBands(cover), [cover])
  const reasons = plan
    ? whyTrial(cover, plan, simulation?.directions.map(({ spreadMm }) => spreadMm) ?? [])
    : []
  const tried = file.trial !== undefined
  // Opened where it is worth its scrap, until a hand opens or closes it: what is reckoned later moves nothing then.
  const [opened, setOpened] = useState<boolean>()
  const isOpen = opened ?? (tried || reasons.length > 0)
  return (
    <details open={isOpen} className="grid gap-4" data-trial>
      <summary
        className="text-lg font-semibold"
        onClick={event => {
          event.preventDefault()
          setOpened(!isOpen)
        }}
      >
        A trial piece
      </summary>
      <div className="mt-3 grid gap-5">
        <p className="text-soft">
          {reasons.length > 0
            ? `Worth its scrap here: ${reasons.map(reason => reasonWords[reason]).join('; ')}.`
            : 'Not needed here, but it costs only scrap.'}{' '}
          Cut a band of scrap as thick as the outer cloth, sew it to its finished size, try it on the thing
          and enter what was over or lacking. The plan then goes by the band instead of the tape.
        </p>
        {bands.map(band => (
          <BandFields key={band.direction} band={band} />
        ))}
        {tried && (
          <div>
            <Button
              onClick={() =>
                change(oneStep, current => {
                  const { trial: _trial, ...rest } = current
                  return rest
                })
              }
            >
              Go by the tape again
            </Button>
          </div>
        )}
      </div>
    </details>
  )
}

const finishedRange: LengthRange = { min: mm(20), max: mm(3000) }
const spareRange: LengthRange = { min: zero, max: mm(150) }

function BandFields({ band }: { readonly band: TrialBand }) {
  const { file, unit, division, change } = useCover()
  const { direction, cut, across, finished, spare } = band
  const tried = file.trial?.[direction]
  // Its length alone tells nothing yet: it is kept here until what was over or lacking is said.
  const [madeUp, setMadeUp] = useState<string>()
  const name = direction === 'width' ? 'Round it' : 'From top to bottom'
  const set = (changes: Partial<NonNullable<TypedTrial[Direction]>>) =>
    change(`trial.${direction}`, current => ({
      ...current,
      trial: withTried(current.trial, direction, changes, madeUp ?? formatLength(finished, unit)),
    }))
  return (
    <fieldset className="grid gap-3 border-t border-rule pt-3" data-trial-band={direction}>
      <legend className="sr-only">{name}</legend>
      <p>
        <span className="font-medium">{name}:</span> cut <Length value={cut} unit={unit} bare /> ×{' '}
        <Length value={across} unit={unit} />, made up to <Length value={finished} unit={unit} />.{' '}
        <span className="text-soft">
          If the tape is right, <Length value={spare} unit={unit} /> will be over.
        </span>
      </p>
      <div className="flex flex-wrap gap-4">
        <LengthField
          label="Made up it measures"
          unit={unit}
          value={tried?.finished ?? madeUp}
          fallback={finished}
          range={finishedRange}
          division={division}
          onChange={typed => (tried && typed !== undefined ? set({ finished: typed }) : setMadeUp(typed))}
        />
        <LengthField
          label="Over"
          unit={unit}
          value={tried?.spare}
          range={spareRange}
          division={division}
          onChange={typed => set({ spare: typed ?? '0', short: undefined })}
        />
        <LengthField
          label="or lacking"
          unit={unit}
          value={tried?.short}
          range={spareRange}
          division={division}
          onChange={typed =>
            set(typed === undefined ? { spare: '0', short: undefined } : { short: typed, spare: undefined })
          }
        />
      </div>
    </fieldset>
  )
}

/** What is known of one direction; the band is as long as it was planned until another length is typed. */
function withTried(
  trial: TypedTrial | undefined,
  direction: Direction,
  changes: Partial<NonNullable<TypedTrial[Direction]>>,
  plannedLong: string,
): TypedTrial {
  const before = trial?.[direction] ?? { finished: plannedLong, spare: '0' }
  const { finished, spare, short } = { ...before, ...changes }
  return { ...trial, [direction]: spare === undefined ? { finished, short } : { finished, spare } }
}
