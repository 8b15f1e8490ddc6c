import {
  doubtMade,
  formatLength,
  madeKey,
  madeLength,
  measuredAt,
  mm,
  namePiece,
  plannedSize,
  whatFollows,
  type Length as CoreLength,
  type MadeDoubt,
  type Step,
  type StepMeasure,
  type Unit,
} from '@snowdrift/core'
import { useState } from 'react'
import { Button } from '../../parts/Button'
import { Length } from '../../parts/Length'
import { LengthField } from '../../parts/LengthField'
import { headlineOf } from '../../views/verdict-words'
import type { OnTheBench } from './use-making'

/** Sizes that are taken off the work: asked for where they are read, and what follows from them. */
export function MadeSizes({ bench, step }: { readonly bench: OnTheBench; readonly step: Step }) {
  const asked = measuredAt(step, bench.planned)
  if (asked.length === 0) return null
  const isCut = step.measures.length === 0
  const fields = (
    <div className="grid gap-4 sm:grid-cols-2">
      {asked.map(measure => (
        <MadeSize key={madeKey(measure)} bench={bench} measure={measure} />
      ))}
    </div>
  )
  return (
    <section aria-label="As it was made" className="grid gap-3">
      {isCut ? (
        <details open={asked.some(measure => bench.progress.made[madeKey(measure)]?.typed)}>
          <summary className="min-h-9 text-lg text-thread underline">It came out otherwise</summary>
          <div className="mt-3">{fields}</div>
        </details>
      ) : (
        fields
      )}
      <Follows bench={bench} />
    </section>
  )
}

function MadeSize({ bench, measure }: { readonly bench: OnTheBench; readonly measure: StepMeasure }) {
  const { planned, unit, progress, change, hands: _hands } = bench
  const [doubted, setDoubted] = useState<{ readonly typed: string; readonly doubt: MadeDoubt }>()
  const fallback = plannedSize(planned, measure)
  const take = (typed: string | undefined) => {
    setDoubted(undefined)
    const at = new Date().toISOString()
    change(current => ({
      ...current,
      made: { ...current.made, [madeKey(measure)]: { at, typed: typed ?? '' } },
    }))
  }
  const ask = (typed: string | undefined) => {
    const read = typed === undefined ? undefined : lengthOf(typed, measure, unit)
    const doubt = read === undefined ? undefined : doubtMade(planned, measure, read, unit)
    if (typed !== undefined && doubt) setDoubted({ typed, doubt })
    else take(typed)
  }
  return (
    <div className="grid content-start gap-2" data-made={madeKey(measure)}>
      <LengthField
        whenLeft
        label={labelOf(measure)}
        unit={unit}
        value={progress.made[madeKey(measure)]?.typed || undefined}
        fallback={fallback}
        division={unit === 'in' ? mm(25.4 / 16) : mm(1)}
        range={{ min: mm(1), max: mm(20_000) }}
        help={
          fallback === undefined ? 'Where it sits, or how long it is.' : 'As the plan has it, unless said.'
        }
        onChange={ask}
      />
      {doubted && (
        <div role="alert" className="grid gap-2 border-l-4 border-caution pl-3">
          <p>{doubtWords(doubted.doubt, unit)}</p>
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => take(doubted.typed)}>It is so</Button>
            <Button look="quiet" onClick={() => setDoubted(undefined)}>
              I mistyped
            </Button>
          </div>
        </div>
      )}
    </div>
  )
}

function lengthOf(typed: string, measure: StepMeasure, unit: Unit): CoreLength | undefined {
  const at = ''
  return madeLength(
    { steps: {}, waits: {}, schools: {}, made: { [madeKey(measure)]: { at, typed } } },
    measure,
    unit,
  )
}

function labelOf(measure: StepMeasure): string {
  const what = 'piece' in measure ? measure.piece : measure.notion
  return `${namePiece(what)}, ${measure.side} as made`
}

function doubtWords(doubt: MadeDoubt, unit: Unit): string {
  switch (doubt.kind) {
    case 'other-unit':
      return `That would fit in another unit: ${formatLength(doubt.instead, unit, { style: 'proper' })}. Did you read the other side of the tape?`
    case 'swapped':
      return 'That is its other side as planned. Are width and height exchanged?'
    case 'far':
      return `That is ${formatLength(doubt.by, unit, { style: 'proper' })} off, more than a hand errs.`
  }
}

/** What a made size changes, and the cheapest way out where something cannot follow any more. */
function Follows({ bench }: { readonly bench: OnTheBench }) {
  const { planned, plan, progress, unit } = bench
  const changes = whatFollows(planned, plan, progress)
  if (planned === plan || changes.length === 0) return null
  return (
    <div role="status" className="grid gap-2 rounded-md bg-sunken p-3" data-follows>
      <p className="font-medium">It follows from what was cut; now it is {headlineOf(plan).words}:</p>
      <ul className="grid gap-1">
        {changes.map(({ piece, before, now, state }) => (
          <li key={piece} data-follows-piece={piece}>
            {namePiece(piece)}: <Length value={now.width} unit={unit} bare /> ×{' '}
            <Length value={now.height} unit={unit} /> instead of{' '}
            <Length value={before.width} unit={unit} bare /> × <Length value={before.height} unit={unit} />
            <span className="block text-soft">{stateWords[state]}</span>
          </li>
        ))}
      </ul>
    </div>
  )
}

const stateWords = {
  follows: 'Not cut yet: cut it so.',
  trim: 'Cut already, and larger: trim it before it is joined.',
  'too-small':
    'Cut already, and too small to follow. Cheapest: trim the larger piece to it where the fit allows, else cut this one anew.',
} as const
