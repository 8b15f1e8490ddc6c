import {
  absolute,
  correctableAt,
  doubtMade,
  formatLength,
  madeKey,
  madeLength,
  mm,
  namePiece,
  plannedSize,
  whatFollows,
  zero,
  type Length as CoreLength,
  seamMoves,
  type MadeDoubt,
  type Measured,
  type SeamMove,
  type Step,
  type Unit,
} from '@snowdrift/core'
import { useState } from 'react'
import { Button } from '../../parts/Button'
import { Length } from '../../parts/Length'
import { LengthField } from '../../parts/LengthField'
import { capital } from '../../views/capital'
import { headlineOf } from '../../views/verdict-words'
import type { OnTheBench } from './use-making'

/** Sizes that are taken off the work: asked for where they are read, and what follows from them. */
export function MadeSizes({ bench, step }: { readonly bench: OnTheBench; readonly step: Step }) {
  const correctable = correctableAt(step, bench.planned, bench.making.steps)
  if (step.measures.length + correctable.length === 0) return null
  return (
    <section aria-label="As it was made" className="grid gap-3">
      {step.measures.length > 0 && <Fields bench={bench} measures={step.measures} />}
      <Follows bench={bench} />
      {correctable.length > 0 && (
        <details open={correctable.some(measure => bench.progress.made[madeKey(measure)]?.typed)}>
          <summary className="min-h-9 text-lg text-thread underline">It came out otherwise</summary>
          <div className="mt-2 grid gap-3">
            <p className="text-soft">As the plan has it, unless said.</p>
            <Fields bench={bench} measures={correctable} />
          </div>
        </details>
      )}
    </section>
  )
}

function Fields({ bench, measures }: { readonly bench: OnTheBench; readonly measures: readonly Measured[] }) {
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      {measures.map(measure => (
        <MadeSize key={madeKey(measure)} bench={bench} measure={measure} />
      ))}
    </div>
  )
}

function MadeSize({ bench, measure }: { readonly bench: OnTheBench; readonly measure: Measured }) {
  const { planned, unit, progress, change } = bench
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
        {...(fallback === undefined && { help: 'Where it sits, or how long it is.' })}
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

function lengthOf(typed: string, measure: Measured, unit: Unit): CoreLength | undefined {
  return madeLength({ made: { [madeKey(measure)]: { at: '', typed } } }, measure, unit)
}

function labelOf(measure: Measured): string {
  if ('sewn' in measure) return capital(`${namePiece(measure.sewn)}, ${measure.side} sewn and turned`)
  const what = 'piece' in measure ? measure.piece : measure.notion
  return capital(`${namePiece(what)}, ${measure.side} as made`)
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
  const { planned, followed, progress, unit } = bench
  if (planned === followed) return null
  const changes = whatFollows(planned, followed, { progress, unit })
  return (
    <div role="status" className="grid gap-2 rounded-md bg-sunken p-3" data-follows>
      <p className="font-medium">As it was made: {headlineOf(followed).words}.</p>
      {seamMoves(followed).map(move => (
        <p key={move.direction}>{moveWords(move, unit)}</p>
      ))}
      {changes.length > 0 && <p>What changes with it:</p>}
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

/** The cheapest way out of a cover that is sewn too small or too large. */
function moveWords({ direction, each, reaches }: SeamMove, unit: Unit): string {
  const by = formatLength(absolute(each), unit, { style: 'proper', finest: 16 })
  if (each < zero) return `In ${direction}, take each of its two seams in by ${by}.`
  if (reaches)
    return `In ${direction}, let each of its two seams out by ${by}; sew the new line first, then unpick.`
  return `In ${direction} each seam would have to be let out by ${by}, and the allowance has not that much: cut the outer anew.`
}

const stateWords = {
  follows: 'Not cut yet: cut it so.',
  trim: 'Cut already, and larger: trim it before it is joined.',
  'too-small':
    'Cut already, and too small to follow. Cheapest: trim the larger piece to it where the fit allows, else cut this one anew.',
} as const
