import { describeChoice, listFamiliesFor, switchFamily, type Family, type Unit } from '@snowdrift/core'
import { useMemo } from 'react'
import { oneStep } from '../../../drafts/draft'
import { Button } from '../../../parts/Button'
import { Fractions } from '../../../parts/Fractions'
import { usualCloth } from '../../../views/cloth-words'
import { plannedOf, type Planned } from '../../../views/planned'
import { headlineOf } from '../../../views/verdict-words'
import { useCover } from '../cover-context'
import { ClothNeeded } from './ClothNeeded'
import { sharedScale, SmallStrip } from './SmallStrip'
import { difficultyWords } from './way-words'

interface Way {
  readonly family: Family
  readonly suits: boolean
  readonly why: string
  readonly planned: Planned
}

/** Every way of making for the measured thing, each with a picture of that very cover, those that suit first. */
export function WayChooser({ onChosen }: { readonly onChosen: () => void }) {
  const { file, planned, unit, change } = useCover()
  const { cover } = planned
  const ways = useMemo((): readonly Way[] => {
    if (!cover) return []
    return listFamiliesFor(cover.object).map(family => ({
      family,
      ...family.suits(cover.object),
      planned: plannedOf(switchFamily(file, family.id)),
    }))
  }, [cover, file])
  const scale = sharedScale(
    ways.flatMap(({ planned: { plan } }) => (plan ? [plan] : [])),
    128,
  )
  const choose = (id: string) => {
    change(oneStep, current => switchFamily(current, id))
    onChosen()
  }
  return (
    <ul className="divide-y divide-rule border-y border-rule" aria-label="Ways of making">
      {ways.map(way => (
        <WayRow
          key={way.family.id}
          way={way}
          unit={unit}
          scale={scale}
          chosen={way.family.id === file.family}
          onChoose={() => choose(way.family.id)}
        />
      ))}
    </ul>
  )
}

interface WayRowProps {
  readonly way: Way
  readonly unit: Unit
  readonly scale: number
  readonly chosen: boolean
  readonly onChoose: () => void
}

function WayRow({ way, unit, scale, chosen, onChoose }: WayRowProps) {
  const { family, suits, why, planned } = way
  const { name, difficulty, tools } = family.words
  return (
    <li className="grid grid-cols-[8.5rem_1fr] gap-x-4 py-3" data-way={family.id}>
      <div className="grid min-h-16 content-center justify-items-center">
        {planned.plan ? (
          <SmallStrip plan={planned.plan} scale={scale} label={`${name}, laid flat`} />
        ) : (
          <p className="text-sm text-soft">not measured for it</p>
        )}
      </div>
      <div className="grid gap-1">
        <div className="flex items-start justify-between gap-3">
          <p className="font-medium">{name}</p>
          {chosen ? (
            <span className="text-sm text-soft">this one</span>
          ) : (
            <Button aria-label={`Make it this way: ${name}`} onClick={onChoose}>
              Make it this way
            </Button>
          )}
        </div>
        <p className={`text-sm ${suits ? '' : 'text-caution'}`}>
          {suits ? 'Suits: ' : 'Hardly suits: '}
          {why}
        </p>
        <p className="text-sm text-soft">
          {difficultyWords[difficulty]}; {tools}. <Outcome planned={planned} unit={unit} />
        </p>
      </div>
    </li>
  )
}

function Outcome({
  planned: { plan, cover, missing },
  unit,
}: {
  readonly planned: Planned
  readonly unit: Unit
}) {
  if (!plan || !cover)
    return missing.length > 0 ? <>Still to measure: {missing.map(describeChoice).join('; ')}.</> : null
  const { words, tone } = headlineOf(plan)
  return (
    <>
      <span className={tone}>{words}</span>, <ClothNeeded plan={plan} cover={cover} unit={unit} /> of{' '}
      <Fractions text={usualCloth(unit)} /> cloth.
    </>
  )
}
