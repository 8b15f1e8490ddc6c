import {
  followComputed,
  toMm,
  type Cover,
  type Direction,
  type DirectionOdds,
  type Fit,
  type Simulation,
  type Unit,
} from '@snowdrift/core'
import { Slider } from 'radix-ui'
import { useRef } from 'react'
import { oneStep, whileHeld } from '../../../drafts/draft'
import { Button } from '../../../parts/Button'
import { Fractions } from '../../../parts/Fractions'
import { Length } from '../../../parts/Length'
import { easeStep, sayEase, typeEase } from '../../../views/ease-words'
import { percent } from '../../../views/chance-words'
import { estimateChance } from '../../../views/estimate-chance'
import { useCover } from '../cover-context'
import { useLearnt } from '../../../views/use-learnt'
import { withEase, type EaseKey } from '../make-up/sizing-ease'
import { likedEases, type EaseOf } from './liked-eases'

const keys: Readonly<Record<DirectionOdds['direction'], EaseKey>> = {
  width: 'easeWidth',
  height: 'easeHeight',
}

/** The ease to aim at, with the chance and the picture following it; and the best ease, one press away. */
export function EaseSliders({ simulation }: { readonly simulation: Simulation }) {
  const { planned, unit, change } = useCover()
  const learnt = useLearnt()
  const { cover, plan } = planned
  if (!cover || !plan || plan.fits.length === 0) return null
  if (cover.sizing.mode !== 'computed')
    return (
      <section className="grid gap-2" aria-label="Ease to aim at">
        <h3 className="text-lg font-semibold">Ease to aim at</h3>
        <p className="text-soft">Its size comes from a fixed amount, so the ease is what that leaves.</p>
        <div>
          <Button onClick={() => change(oneStep, followComputed)}>Compute the size instead</Button>
        </div>
      </section>
    )
  const now = estimateChance(simulation, plan.fits)
  const best = simulation.directions.filter(({ fit }) =>
    plan.fits.some(({ direction }) => direction === fit.direction),
  )
  const take = (eases: readonly EaseOf[]) =>
    change(oneStep, current =>
      eases.reduce(
        (changed, [direction, ease]) => ({
          ...changed,
          sizing: withEase(changed.sizing, keys[direction], typeEase(ease, unit)),
        }),
        current,
      ),
    )
  const liked = likedEases(
    learnt?.learnt,
    best.map(odds => odds.direction),
  )
  const wouldHelp = now !== undefined && simulation.bestChance > now + 0.005
  return (
    <section className="grid gap-4" aria-label="Ease to aim at">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h3 className="text-lg font-semibold">Ease to aim at</h3>
        <span aria-live="polite">{now === undefined ? '…' : percent(now)} on the first try</span>
      </div>
      {best.map(odds => (
        <EaseSlider
          key={odds.direction}
          odds={odds}
          value={targetMm(cover, odds.direction)}
          say={millimetres => sayEase(millimetres, unit)}
          step={easeStep(unit)}
          onChange={(millimetres, heldSince) =>
            change(whileHeld(`fit.${keys[odds.direction]}`, heldSince), current => ({
              ...current,
              sizing: withEase(current.sizing, keys[odds.direction], typeEase(millimetres, unit)),
            }))
          }
        />
      ))}
      <p className="text-sm text-soft">
        What a size is computed with. Sizes are rounded up to the cutting grid, so that the ease as cut is a
        little more: <EasesAsCut fits={plan.fits} unit={unit} />.
      </p>
      <EaseOffer
        name="Use the tightest that goes"
        why="the least that goes on 99 times of 100 without counting on stretch"
        look={wouldHelp ? 'act' : 'plain'}
        eases={best.map(odds => [odds.direction, odds.bestEaseMm])}
        unit={unit}
        targetOf={direction => targetMm(cover, direction)}
        onTake={take}
      />
      <EaseOffer
        name="Use the most comfortable"
        why="where the most makes come out snug or easy"
        look="plain"
        eases={best.map(odds => [odds.direction, odds.comfortableEaseMm])}
        unit={unit}
        targetOf={direction => targetMm(cover, direction)}
        onTake={take}
      />
      {liked && (
        <EaseOffer
          name="Use what you like"
          why={`so came out ${liked.makes} makes that went on snugly, as your log has them`}
          look="plain"
          eases={liked.eases}
          unit={unit}
          targetOf={direction => targetMm(cover, direction)}
          onTake={take}
        />
      )}
    </section>
  )
}

const whereWords = { width: 'round it', height: 'in height' } as const

function EasesAsCut({ fits, unit }: { readonly fits: readonly Fit[]; readonly unit: Unit }) {
  return fits.map(({ direction, ease }, index) => (
    <span key={direction}>
      {index > 0 && ', '}
      {whereWords[direction]} <Length value={ease} unit={unit} />
    </span>
  ))
}

interface EaseOfferProps {
  readonly name: string
  readonly why: string
  readonly look: 'act' | 'plain'
  readonly eases: readonly EaseOf[]
  readonly unit: Unit
  readonly targetOf: (direction: Direction) => number
  readonly onTake: (eases: readonly EaseOf[]) => void
}

/** An ease worth aiming at, both ways, one press away. What is aimed at already can be no nearer than its unit tells. */
function EaseOffer({ name, why, look, eases, unit, targetOf, onTake }: EaseOfferProps) {
  const isTaken = eases.every(
    ([direction, ease]) => Math.abs(targetOf(direction) - ease) < easeStep(unit) / 2,
  )
  const said = eases.map(([direction, ease]) => `${whereWords[direction]} ${sayEase(ease, unit)}`)
  return (
    <div className="flex flex-wrap items-center gap-3">
      <Button look={look} disabled={isTaken} onClick={() => onTake(eases)}>
        {name}
      </Button>
      <span className="text-sm text-soft">
        <Fractions text={said.join(', ')} />: {why}.
      </span>
    </div>
  )
}

/** The ease aimed at: as stated, or what the way of making takes. */
function targetMm({ sizing, family, unit }: Cover, direction: DirectionOdds['direction']): number {
  const stated = sizing.mode === 'computed' ? sizing[keys[direction]] : undefined
  return toMm(stated ?? family.defaultEase(unit)[direction])
}

interface EaseSliderProps {
  readonly odds: DirectionOdds
  readonly value: number
  readonly say: (millimetres: number) => string
  readonly step: number
  /** Since when it is held by the hand, where it is. */
  readonly onChange: (millimetres: number, heldSince: number | undefined) => void
}

function EaseSlider({ odds, value, say, step, onChange }: EaseSliderProps) {
  const label = odds.direction === 'width' ? 'Round it' : 'In height'
  const most = toMm(odds.fit.bands.top)
  const heldSince = useRef<number>(undefined)
  return (
    <div className="grid grid-cols-[5rem_1fr_5.5rem] items-center gap-3">
      <span>{label}</span>
      <Slider.Root
        className="relative flex h-9 touch-none items-center select-none"
        min={0}
        max={most}
        step={step}
        value={[Math.min(value, most)]}
        onPointerDown={({ timeStamp }) => (heldSince.current = timeStamp)}
        onLostPointerCapture={() => (heldSince.current = undefined)}
        onValueChange={([next]) => next !== undefined && onChange(next, heldSince.current)}
      >
        <Slider.Track className="relative h-1.5 grow rounded-full bg-sunken">
          <Slider.Range className="absolute h-full rounded-full bg-strong-rule" />
          <span
            aria-hidden
            className="absolute -top-1 h-3.5 w-0.5 bg-good"
            style={{ left: `${(odds.bestEaseMm / most) * 100}%` }}
          />
        </Slider.Track>
        <Slider.Thumb
          aria-label={`Ease ${label.toLowerCase()}`}
          aria-valuetext={say(value)}
          className="block size-6 rounded-full border-2 border-thread bg-surface"
        />
      </Slider.Root>
      <span className="text-right whitespace-nowrap">
        <Fractions text={say(value)} />
      </span>
    </div>
  )
}
