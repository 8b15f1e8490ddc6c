import {
  mm,
  sayContradiction,
  type Learnt,
  type LearntBias,
  type MakeRow,
  type StepKind,
  type Unit,
} from '@snowdrift/core'
import type { ApexOptions } from 'apexcharts'
import { lazy, Suspense, useMemo, type ReactNode } from 'react'
import { useMaterialsQuery, useSettingsQuery, useStashPiecesQuery } from '../../api/api'
import { settingsId, standingOf } from '../../drafts/kinds'
import { useDraft, useDraftChanges } from '../../drafts/use-draft'
import { oneStep } from '../../drafts/draft'
import { Fractions } from '../../parts/Fractions'
import { YesNoField } from '../../parts/YesNoField'
import { capital } from '../../views/capital'
import { saySpread } from '../../views/ease-words'
import { learntOf } from '../../views/use-learnt'
import { useWorkshopUnit } from '../../views/use-workshop-unit'
import { kindWords } from '../bench/step-words'
import { chanceChart, clothChart, clothUse, easeChart, easePoints, timeChart, timeSums } from './log-charts'

const LearntChart = lazy(() => import('../../views/LearntChart'))

/** What the makes tell of the hand that made them, with the makes behind it, and whether it is used. */
export function WhatTheyTell({ makes }: { readonly makes: readonly MakeRow[] }) {
  const unit = useWorkshopUnit(undefined)
  const learnt = learntOf(makes)
  return (
    <section aria-labelledby="tell" className="grid gap-6">
      <h2 id="tell" className="text-xl font-semibold">
        What they tell
      </h2>
      <Hand learnt={learnt} unit={unit} />
      <UseIt />
      <LeftOut learnt={learnt} makes={makes} unit={unit} />
      <Charts learnt={learnt} makes={makes} unit={unit} />
    </section>
  )
}

function Hand({ learnt, unit }: { readonly learnt: Learnt; readonly unit: Unit }) {
  const { seamBias, cutBias, ease } = learnt
  return (
    <>
      <table className="w-full max-w-3xl text-left" data-learnt>
        <caption className="sr-only">Your hand, as the makes tell it</caption>
        <thead className="text-sm text-soft">
          <tr>
            <th className="py-1 pr-4 font-normal">What</th>
            <th className="py-1 pr-4 font-normal">as it is most like</th>
            <th className="py-1 pr-4 font-normal">nine times in ten between</th>
            <th className="py-1 pr-4 font-normal">from</th>
            <th className="py-1 font-normal">sure?</th>
          </tr>
        </thead>
        <tbody>
          <BiasRow name="A seam comes out" words={['wide', 'narrow']} bias={seamBias} unit={unit} />
          <BiasRow name="A cut edge comes out" words={['large', 'small']} bias={cutBias} unit={unit} />
          {(['width', 'height'] as const).map(direction => (
            <Row
              key={direction}
              name={`Ease you like, ${direction === 'width' ? 'across' : 'in height'}`}
              value={saySpread(mm(ease[direction].value), unit)}
              between={`${saySpread(mm(ease[direction].low), unit)} and ${saySpread(mm(ease[direction].high), unit)}`}
              makes={ease[direction].makes}
              used={ease[direction].makes >= 3}
            />
          ))}
        </tbody>
      </table>
      <Pace learnt={learnt} />
    </>
  )
}

/** The maker’s own pace: what is sure in a sentence, every operation beneath it. */
function Pace({ learnt: { times } }: { readonly learnt: Learnt }) {
  const all = Object.entries(times).sort(([, one], [, other]) => other.value - one.value)
  const sure = all.filter(([, { used }]) => used)
  if (all.length === 0) return null
  return (
    <div className="grid max-w-3xl gap-1">
      <p>
        {sure.length > 0
          ? `Your own pace: ${sure
              .slice(0, 4)
              .map(([kind, { value }]) => `${kindWords[kind as StepKind]} ${sayPace(value)}`)
              .join(', ')}.`
          : 'Your own pace does not show yet.'}
      </p>
      <details>
        <summary className="cursor-pointer text-sm text-soft">Every operation, with its interval</summary>
        <table className="mt-2 w-full text-left">
          <tbody>
            {all.map(([kind, { value, low, high, makes, used }]) => (
              <Row
                key={kind}
                name={capital(kindWords[kind as StepKind])}
                value={sayPace(value)}
                between={`${sayPace(low)} and ${sayPace(high)}`}
                makes={makes}
                used={used}
              />
            ))}
          </tbody>
        </table>
      </details>
    </div>
  )
}

/** “31 % longer”, “12 % quicker”. */
function sayPace(factor: number): string {
  const percent = Math.round(100 * Math.abs(factor - 1))
  if (percent === 0) return 'as planned'
  return `${percent} % ${factor > 1 ? 'longer' : 'quicker'}`
}

interface RowProps {
  readonly name: string
  readonly value: string
  readonly between: string
  readonly makes: number
  readonly used: boolean
}

function Row({ name, value, between, makes, used }: RowProps) {
  return (
    <tr className="border-t border-rule">
      <th scope="row" className="py-1.5 pr-4 font-medium">
        {name}
      </th>
      <td className="pr-4">
        <Fractions text={value} />
      </td>
      <td className="pr-4 text-soft">
        <Fractions text={between} />
      </td>
      <td className="pr-4 whitespace-nowrap">
        {makes} {makes === 1 ? 'make' : 'makes'}
      </td>
      <td className="whitespace-nowrap">{used ? 'yes' : <span className="text-soft">not yet</span>}</td>
    </tr>
  )
}

interface BiasRowProps {
  readonly name: string
  readonly words: readonly [more: string, less: string]
  readonly bias: LearntBias
  readonly unit: Unit
}

function BiasRow({ name, words: [more, less], bias, unit }: BiasRowProps) {
  const say = (value: number) =>
    value === 0 ? 'true' : `${saySpread(mm(Math.abs(value)), unit)} ${value > 0 ? more : less}`
  return (
    <Row
      name={name}
      value={say(bias.value)}
      between={`${say(bias.low)} and ${say(bias.high)}`}
      makes={bias.makes}
      used={bias.used}
    />
  )
}

/** Nothing that was learnt moves a number before its maker says so; and it is undone as easily. */
function UseIt() {
  const { data } = useSettingsQuery()
  const draft = useDraft('settings', settingsId, data && standingOf('settings', data))
  const changes = useDraftChanges('settings', settingsId)
  if (!draft) return null
  return (
    <div className="max-w-3xl border-l-3 border-thread pl-4">
      <YesNoField
        label="Use what is sure"
        help="New covers are planned for your seams and your cutting, and minutes are your own. Covers that are there already stay as they are until you say so at their station Fit."
        checked={draft.body.learning === 'used'}
        onChange={used =>
          changes.change(oneStep, before => ({ ...before, learning: used ? 'used' : 'shown' }))
        }
      />
    </div>
  )
}

interface LearntOf {
  readonly learnt: Learnt
  readonly makes: readonly MakeRow[]
  readonly unit: Unit
}

function LeftOut({ learnt, makes, unit }: LearntOf) {
  if (learnt.refused.length === 0) return null
  return (
    <section aria-label="Left out" className="grid gap-1">
      <h3 className="font-semibold">Left out, for their numbers cannot be</h3>
      <ul className="grid gap-1">
        {learnt.refused.map(({ id, why }) => (
          <li key={id}>
            <strong>{makes.find(make => make.id === id)?.log.name}</strong>:{' '}
            <Fractions text={sayContradiction(why, value => saySpread(mm(value), unit))} />
          </li>
        ))}
      </ul>
    </section>
  )
}

function Charts({ learnt, makes, unit }: LearntOf) {
  const { data: materials = [] } = useMaterialsQuery()
  const { data: pieces = [] } = useStashPiecesQuery()
  const points = useMemo(() => easePoints(makes), [makes])
  const sums = useMemo(() => timeSums(makes), [makes])
  const uses = useMemo(() => clothUse(materials, pieces), [materials, pieces])
  const ease = useMemo(() => easeChart(points, unit), [points, unit])
  const chance = useMemo(() => chanceChart(learnt), [learnt])
  const time = useMemo(() => timeChart(sums), [sums])
  const cloth = useMemo(() => clothChart(uses, unit), [uses, unit])
  const { groups, brier } = learnt.calibration
  return (
    <div className="grid gap-8 lg:grid-cols-2">
      {points.length > 0 && (
        <Figure
          name="Ease, planned and got"
          words={`${points.length} sizes that were measured once sewn; on the dashed line, as planned.`}
          options={ease}
        />
      )}
      {groups.length > 0 ? (
        <Figure
          name="Chance foretold, and what came of it"
          words={groups
            .map(
              ({ foretold, came, makes: many }) =>
                `Of ${many} put at ${Math.round(100 * foretold)} %, ${Math.round(100 * came)} % fit.`,
            )
            .join(' ')}
          options={chance}
        />
      ) : (
        brier !== undefined && (
          <p className="text-soft">
            Ten makes with a chance are needed to hold chances against what came of them; there are{' '}
            {learnt.calibration.makes}.
          </p>
        )
      )}
      {sums.length > 0 && (
        <Figure
          name="Time, planned and taken"
          words={`Most of it: ${sums
            .slice(0, 3)
            .map(
              ({ kind, planned, took }) =>
                `${kindWords[kind]} ${Math.round(took)} min for ${Math.round(planned)}`,
            )
            .join(', ')}.`}
          options={time}
        />
      )}
      {uses.length > 0 && (
        <Figure
          name="Cloth: cut, kept, left"
          words="What is in the stash and what was cut from it, by area."
          options={cloth}
        />
      )}
    </div>
  )
}

interface FigureProps {
  readonly name: string
  readonly words: ReactNode
  readonly options: ApexOptions
}

function Figure({ name, words, options }: FigureProps) {
  return (
    <figure className="grid content-start gap-1">
      <figcaption>
        <strong className="font-semibold">{name}</strong>
        <span className="block text-sm text-soft">{words}</span>
      </figcaption>
      <div className="h-64" aria-hidden>
        <Suspense>
          <LearntChart options={options} />
        </Suspense>
      </div>
    </figure>
  )
}
