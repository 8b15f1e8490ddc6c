import { isDone, noLongerThere, type Step } from '@snowdrift/core'
import { CircleCheck, Circle } from 'lucide-react'
import { Link } from 'react-router'
import { Fractions } from '../../parts/Fractions'
import { minutesWords } from './minutes-words'
import { placeWords } from './step-words'
import type { OnTheBench } from './use-making'

/** All steps in their order, grouped by where they are done; with boxes on paper. */
export function StepList({ bench }: { readonly bench: OnTheBench }) {
  const { id, making, progress } = bench
  const { steps, minutes, elapsed, stitch } = making
  const gone = noLongerThere(progress, steps)
  return (
    <div className="grid gap-4">
      <p className="text-lg" data-minutes={minutes}>
        {steps.length} steps, {minutesWords(minutes)} of work
        {elapsed > minutes && `, ${minutesWords(elapsed)} with its waits`}.
        {stitch && (
          <span className="block text-base text-soft">
            Stitch <span data-thickness>{stitch.length}</span>, needle {stitch.needle}: try it on a scrap of
            the same layers first.
          </span>
        )}
      </p>
      {gone.length > 0 && (
        <p role="status" className="border-l-4 border-caution pl-3" data-no-longer>
          The cover was changed since: {gone.length === 1 ? 'a step' : `${gone.length} steps`} that{' '}
          {gone.length === 1 ? 'was' : 'were'} done {gone.length === 1 ? 'is' : 'are'} no longer part of it (
          {gone.map(step => step.replaceAll('-', ' ')).join(', ')}). What is done is kept.
        </p>
      )}
      {groupsOf(steps).map((group, index) => (
        <div key={index} className="keep-together">
          <p className="mt-2 mb-1 text-sm text-soft">{placeWords[group.place]}</p>
          <ol className="divide-y divide-rule border-y border-rule">
            {group.steps.map(step => (
              <StepLine key={step.id} cover={id} step={step} done={isDone(progress, step.id)} />
            ))}
          </ol>
        </div>
      ))}
    </div>
  )
}

interface StepLineProps {
  readonly cover: string
  readonly step: Step
  readonly done: boolean
}

function StepLine({ cover, step, done }: StepLineProps) {
  const { id, name, minutes, wait, gate, does } = step
  return (
    <li className="keep-together flex gap-2.5 py-2" data-step-line={id}>
      <span className="hidden print:inline">{done ? '☑' : '☐'}</span>
      <span className="mt-0.5 print:hidden">
        {done ? (
          <CircleCheck className="size-5 text-good" aria-label="done" />
        ) : (
          <Circle className="size-5 text-soft" aria-label="not done" />
        )}
      </span>
      <span className="flex-1">
        <Link to={`/covers/${cover}/bench?step=${id}`} className={done ? 'text-soft' : 'text-ink'}>
          <Fractions text={name} />
        </Link>
        {gate && <span className="ml-2 text-sm text-thread">look before you go on</span>}
        <span className="hidden text-sm print:block">
          <Fractions text={does} />
        </span>
      </span>
      <span className="text-sm whitespace-nowrap text-soft tabular-nums">
        {minutesWords(minutes)}
        {wait !== undefined && <span className="block">then wait {minutesWords(wait)}</span>}
      </span>
    </li>
  )
}

interface Group {
  readonly place: Step['place']
  readonly steps: readonly Step[]
}

/** Runs of steps at one place. */
function groupsOf(steps: readonly Step[]): readonly Group[] {
  return steps.reduce<readonly Group[]>((groups, step) => {
    const last = groups.at(-1)
    if (last?.place !== step.place) return [...groups, { place: step.place, steps: [step] }]
    return [...groups.slice(0, -1), { ...last, steps: [...last.steps, step] }]
  }, [])
}
