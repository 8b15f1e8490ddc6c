import {
  askOpening,
  askOrder,
  askSide,
  drawJoining,
  handsOf,
  planSteps,
  sayProperly,
  type CoverFile,
  type OrderQuestion,
  type SettingsRow,
  type SideQuestion,
} from '@snowdrift/core'
import { useMemo, useState } from 'react'
import { useCoversInfiniteQuery } from '../../api/api'
import { Button } from '../../parts/Button'
import { Fractions } from '../../parts/Fractions'
import { capital } from '../../views/capital'
import { DrawingView } from '../../views/DrawingView'
import { plannedOf } from '../../views/planned'

interface CoverQuestionsProps {
  readonly kind: 'sides' | 'order' | 'opening'
  readonly settings: SettingsRow
}

/** Questions out of the maker’s own covers: which side looks up, what comes first, where it stays open. */
export function CoverQuestions({ kind, settings }: CoverQuestionsProps) {
  const { data } = useCoversInfiniteQuery()
  const [turn, setTurn] = useState(0)
  const [score, setScore] = useState({ right: 0, asked: 0 })
  const files = useMemo(
    () =>
      (data?.pages ?? []).flatMap(({ items }) =>
        items.flatMap(({ file }) => (plannedOf(file).plan ? [file] : [])),
      ),
    [data],
  )
  const file = files[turn % Math.max(1, files.length)]
  if (!data) return <p className="text-soft">Fetching your covers …</p>
  if (!file) return <p>The questions come out of your own covers: there is none that is planned yet.</p>
  const onAnswer = (isRight: boolean) =>
    setScore(({ right, asked }) => ({ right: right + (isRight ? 1 : 0), asked: asked + 1 }))
  return (
    <div className="grid gap-4">
      <p className="text-soft">
        From “{file.name}”. <span data-score>{`${score.right} of ${score.asked} right.`}</span>
      </p>
      <Question
        key={`${kind}-${turn}`}
        kind={kind}
        file={file}
        settings={settings}
        onAnswer={onAnswer}
        onNext={() => setTurn(turn + 1)}
      />
    </div>
  )
}

interface QuestionProps extends CoverQuestionsProps {
  readonly file: CoverFile
  readonly onAnswer: (isRight: boolean) => void
  readonly onNext: () => void
}

interface Asked {
  readonly ask: string
  readonly answers: readonly string[]
  readonly right: number
  readonly why: string
  readonly side?: SideQuestion
  /** What goes wrong with each answer that is not the right one. */
  readonly wrongs?: readonly string[]
}

function Question({ kind, file, settings, onAnswer, onNext }: QuestionProps) {
  const [asked] = useState(() => ask(kind, file, settings))
  const [given, setGiven] = useState<number>()
  const { plan } = plannedOf(file)
  const drawing = useMemo(
    () =>
      asked?.side && plan && given !== undefined ? drawJoining(asked.side.joining, plan.pieces) : undefined,
    [asked, plan, given],
  )
  if (!asked)
    return (
      <p>
        Nothing to ask here.{' '}
        <Button small onClick={onNext}>
          Another cover
        </Button>
      </p>
    )
  const answer = (index: number) => {
    setGiven(index)
    onAnswer(index === asked.right)
  }
  const shownAs = (index: number) => {
    if (given === undefined) return ''
    if (index === asked.right) return '!border-good !text-good !opacity-100'
    return index === given ? '!border-caution !text-caution !opacity-100' : ''
  }
  return (
    <div className="grid gap-4">
      <p className="text-xl">
        <Fractions text={asked.ask} />
      </p>
      <div className="grid gap-2">
        {asked.answers.map((words, index) => (
          <Button
            key={words}
            className={`!min-h-12 !justify-start text-left ${shownAs(index)}`}
            disabled={given !== undefined}
            data-answer={index}
            data-right={given === undefined ? undefined : index === asked.right}
            onClick={() => answer(index)}
          >
            <Fractions text={words} />
          </Button>
        ))}
      </div>
      {given !== undefined && (
        <div role="status" className="grid gap-3">
          <p className={`text-lg ${given === asked.right ? 'text-good' : 'text-caution'}`}>
            {given === asked.right ? 'Right.' : `No: ${asked.answers[asked.right] ?? ''}.`}{' '}
            <span className="text-ink">
              <Fractions text={asked.why} />
            </span>
          </p>
          {given !== asked.right && asked.wrongs?.[given] && (
            <p className="text-soft">
              {capital(asked.answers[given] ?? '')}: {asked.wrongs[given]}
            </p>
          )}
          {drawing && (
            <div className="h-56">
              <DrawingView drawing={drawing} textScale={0.032} />
            </div>
          )}
          <div>
            <Button look="act" onClick={onNext}>
              Next
            </Button>
          </div>
        </div>
      )}
    </div>
  )
}

function ask(kind: CoverQuestionsProps['kind'], file: CoverFile, settings: SettingsRow): Asked | undefined {
  switch (kind) {
    case 'sides':
      return aboutSides(file)
    case 'order':
      return aboutOrder(file, settings)
    case 'opening':
      return aboutOpening(file)
  }
}

function aboutSides(file: CoverFile): Asked | undefined {
  const { plan } = plannedOf(file)
  const side = plan && askSide(plan, Math.random)
  if (!side) return undefined
  const { joining, layer } = side
  return {
    ask: `${plainly(joining.name)}: which side of the layer “${layer.name}” looks up?`,
    answers: ['the right side', 'the wrong side'],
    right: layer.face === 'right side up' ? 0 : 1,
    why: `Seen from ${joining.seenFrom}.`,
    side,
  }
}

/** Amounts in braces are said elsewhere. */
function plainly(words: string): string {
  return words.replaceAll(/[{}]/g, '')
}

function aboutOrder(file: CoverFile, settings: SettingsRow): Asked | undefined {
  const { cover, plan } = plannedOf(file)
  if (!cover || !plan) return undefined
  const say = sayProperly(settings.unit)
  const { steps } = planSteps(cover, plan, { say, hands: handsOf(settings) })
  const asked: OrderQuestion | undefined = askOrder(steps, Math.random)
  if (!asked) return undefined
  return {
    ask: 'Which of the two comes first?',
    answers: asked.steps.map(({ name }) => name),
    right: asked.steps.indexOf(asked.first),
    why: asked.first.why,
  }
}

function aboutOpening(file: CoverFile): Asked | undefined {
  const { plan } = plannedOf(file)
  const asked = plan && askOpening(plan, Math.random)
  if (!asked) return undefined
  return {
    ask: 'Through which gap is it turned? Where does the seam stay open?',
    answers: asked.places.map(({ where }) => where),
    right: asked.places.indexOf(asked.right),
    why: asked.right.why,
    wrongs: asked.places.map(({ why }) => why),
  }
}
