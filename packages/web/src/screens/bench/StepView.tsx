import {
  cautionWords,
  headlineAt,
  isDone,
  lastCallWords,
  markStep,
  missingBefore,
  nextStep,
  type Step,
} from '@snowdrift/core'
import { TriangleAlert } from 'lucide-react'
import { useState } from 'react'
import { Button } from '../../parts/Button'
import { Fractions } from '../../parts/Fractions'
import { Length } from '../../parts/Length'
import { AnswerBar } from './AnswerBar'
import { HowCareful } from './HowCareful'
import { MadeSizes } from './MadeSizes'
import { OutOfOrder } from './OutOfOrder'
import { practisedAt } from './practised'
import { kindWords, placeWords } from './step-words'
import { StepPicture } from './StepPicture'
import { TechniqueLinks } from './TechniqueLinks'
import { useBenchKeys } from './use-bench-keys'
import { useShown } from './use-shown'
import { useSwipe } from './use-swipe'
import type { OnTheBench } from './use-making'

interface StepViewProps {
  readonly bench: OnTheBench
  readonly step: Step
  readonly onGo: (step: Step | undefined) => void
}

/** One step: what the hands do, the pile, the number that matters, the check, and one large target to go on. */
export function StepView({ bench, step, onGo }: StepViewProps) {
  const { making, progress, plan, unit, change } = bench
  const { steps } = making
  const [isAsking, setAsking] = useState(false)
  const [isMending, setMending] = useState(false)
  const at = steps.findIndex(({ id }) => id === step.id)
  const done = isDone(progress, step.id)
  useShown(bench, step)
  const missing = missingBefore(progress, step, steps)
  const before = steps[at - 1]

  const mark = (ids: readonly Step[], answer?: 'yes' | 'mended') => {
    const now = new Date()
    const known = markAll(progress, ids, now, answer)
    change(current => markAll(current, ids, now, answer))
    onGo(nextStep(known, steps.slice(at)) ?? nextStep(known, steps))
  }
  const goOn = (answer?: 'yes' | 'mended') => {
    if (done) return onGo(steps[at + 1])
    if (missing.length > 0) return setAsking(true)
    mark([step], answer)
  }
  const goBack = () => onGo(before)
  const isGate = step.gate === true && !done
  useBenchKeys({
    onGo: () => (isGate ? undefined : goOn(step.check ? 'yes' : undefined)),
    onYes: () => goOn('yes'),
    onNo: () => step.check && !done && setMending(true),
    onBack: goBack,
  })
  const swipe = useSwipe({ onLeft: () => !isGate && goOn(step.check ? 'yes' : undefined), onRight: goBack })
  const headline = headlineAt(step, plan, unit)
  const lastCall = making.lastCalls[step.id]
  const coming = steps[at + 1]

  return (
    <div className="flex min-h-0 flex-1 flex-col" {...swipe}>
      <div
        role="region"
        aria-label="The step"
        tabIndex={0}
        className="grid min-h-0 flex-1 content-start gap-6 overflow-y-auto px-4 py-4 sm:px-6 lg:grid-cols-[3fr_2fr]"
      >
        <section className="grid content-start gap-4" aria-labelledby="step-name" data-step={step.id}>
          <p className="text-soft">
            Step {at + 1}: {kindWords[step.kind]}, {placeWords[step.place]}
            {done && (
              <>
                <strong className="mx-2 text-good">done</strong>
                <Button small look="quiet" onClick={() => change(current => reopen(current, step))}>
                  Not done after all
                </Button>
              </>
            )}
          </p>
          <h1 id="step-name" className="text-3xl leading-tight font-semibold sm:text-4xl">
            <Fractions text={step.name} />
          </h1>
          {headline && (
            <p className="text-5xl leading-none font-semibold sm:text-7xl" data-headline>
              {headline.lengths.map((length, index) => (
                <span key={index}>
                  {index > 0 && ' × '}
                  <Length value={length} unit={unit} bare={index < headline.lengths.length - 1} />
                </span>
              ))}
              <span className="ml-3 text-xl font-normal text-soft">{headline.label}</span>
            </p>
          )}
          <p className="text-xl leading-snug sm:text-2xl">
            <Fractions text={step.does} />
          </p>
          <p className="text-lg text-soft">
            <Fractions text={step.why} />
          </p>
          {step.cautions.length > 0 && (
            <ul className="grid gap-1">
              {step.cautions.map(caution => (
                <li key={caution} className="flex items-start gap-2 text-caution">
                  <TriangleAlert className="mt-1 size-4 shrink-0" aria-hidden />
                  {cautionWords[caution]}
                </li>
              ))}
            </ul>
          )}
          {lastCall && <p className="border-l-4 border-thread pl-3 text-lg">{lastCallWords[lastCall]}</p>}
          <MadeSizes bench={bench} step={step} />
        </section>
        <aside className="grid content-start gap-4" aria-label="What belongs to it">
          <StepPicture bench={bench} step={step} />
          {step.face && (
            <p className="text-lg">
              Looking up: <strong>{step.face}</strong>
            </p>
          )}
          {step.tools.length > 0 && <p className="text-lg">At hand: {step.tools.join(', ')}</p>}
          <TechniqueLinks step={step} leftHanded={bench.hands.leftHanded} />
          <HowCareful bench={bench} step={step} />
          {coming && (
            <p className="text-soft">
              Next: <Fractions text={coming.name} /> ({placeWords[coming.place]}
              {coming.tools.length > 0 && `: ${coming.tools.join(', ')}`})
            </p>
          )}
        </aside>
      </div>
      {isAsking && (
        <OutOfOrder
          missing={missing}
          onAllDone={() => mark([...ancestorsOpen(bench, step), step], step.check && 'yes')}
          onOnlyThis={() => mark([step], step.check && 'yes')}
          onClose={() => setAsking(false)}
        />
      )}
      <AnswerBar
        step={step}
        practised={practisedAt(step, plan)}
        isDone={done}
        isMending={isMending}
        isFirst={at === 0}
        isLast={at === steps.length - 1}
        onGo={goOn}
        onNo={() => setMending(true)}
        onMended={() => {
          setMending(false)
          goOn('mended')
        }}
        onAgain={() => setMending(false)}
        onBack={goBack}
      />
    </div>
  )
}

function markAll(
  progress: OnTheBench['progress'],
  steps: readonly Step[],
  at: Date,
  answer?: 'yes' | 'mended',
) {
  const mark = { at: at.toISOString(), state: 'done', ...(answer && { answer }) } as const
  return steps.reduce((now, step) => markStep(now, step, mark), progress)
}

function reopen(progress: OnTheBench['progress'], step: Step) {
  return markStep(progress, step, { at: new Date().toISOString(), state: 'open' })
}

/** Everything before a step, near and far, that is not done yet. */
function ancestorsOpen({ making: { steps }, progress }: OnTheBench, step: Step): readonly Step[] {
  const wanted = new Set<string>()
  const visit = ({ needs }: Step): void => {
    for (const need of steps.filter(({ id }) => needs.includes(id) && !wanted.has(id))) {
      wanted.add(need.id)
      visit(need)
    }
  }
  visit(step)
  return steps.filter(({ id }) => wanted.has(id) && !isDone(progress, id))
}
