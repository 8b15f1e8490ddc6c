import {
  families,
  findLimit,
  fitsOnSheet,
  formatLength,
  inches,
  listLimitQuestions,
  mm,
  readLength,
  switchFamily,
  type CoverFile,
  type Limit,
  type Role,
  type Sheet,
  type Unit,
  roleWords,
} from '@snowdrift/core'
import { useDeferredValue, useMemo, useState } from 'react'
import { oneStep } from '../../../drafts/draft'
import { Button } from '../../../parts/Button'
import { Fractions } from '../../../parts/Fractions'
import { LengthField } from '../../../parts/LengthField'
import { SelectField } from '../../../parts/SelectField'
import { plannedOf } from '../../../views/planned'
import { useCover } from '../cover-context'

const sheetRange = { min: mm(20), max: mm(20_000) }

/** The question turned round: how far does this piece of cloth go? */
export function LimitPanel() {
  const { file, planned, unit, division } = useCover()
  const [typed, setTyped] = useState(() => startSheet(unit))
  const [role, setRole] = useState<Role>('outer')
  const [question, setQuestion] = useState(0)
  const settledFile = useDeferredValue(file)
  const sheet = sheetOf(typed, role, unit)
  const questions = useMemo(() => listLimitQuestions(settledFile), [settledFile])
  const asked = questions[question] ?? questions[0]
  if (!planned.plan || !asked) return null
  const roles = [...new Set(planned.plan.pieces.map(piece => piece.role))]
  const field = (key: 'width' | 'length', label: string) => (
    <LengthField
      label={label}
      unit={unit}
      value={typed[key]}
      range={sheetRange}
      division={division}
      onChange={text => text !== undefined && setTyped({ ...typed, [key]: text })}
    />
  )
  return (
    <section className="grid gap-4" aria-label="How far this piece goes">
      <div>
        <h3 className="text-lg font-semibold">How far does this piece go?</h3>
        <p className="text-soft">
          With one piece of cloth or one sheet: what is the largest that still works.
        </p>
      </div>
      <div className="flex flex-wrap gap-4">
        <SelectField
          label="A piece of"
          value={role}
          choices={
            Object.fromEntries(roles.map(known => [known, roleWords[known].toLowerCase()])) as Record<
              Role,
              string
            >
          }
          onChange={setRole}
        />
        {field('width', 'Its width')}
        {field('length', 'Its length')}
      </div>
      <SelectField
        label="What is made as large as it can be"
        value={String(questions.indexOf(asked))}
        choices={Object.fromEntries(questions.map(({ label }, index) => [String(index), label]))}
        onChange={index => setQuestion(Number(index))}
      />
      {sheet && <Answer file={settledFile} sheet={sheet} asked={asked} unit={unit} />}
      {sheet && <WaysFromIt file={settledFile} sheet={sheet} />}
    </section>
  )
}

interface AnswerProps {
  readonly file: CoverFile
  readonly sheet: Sheet
  readonly asked: ReturnType<typeof listLimitQuestions>[number]
  readonly unit: Unit
}

function Answer({ file, sheet, asked, unit }: AnswerProps) {
  const { change } = useCover()
  const limit = useMemo(() => findLimit(file, asked.question, sheet), [file, asked, sheet])
  if (limit.found === 'nothing')
    return (
      <p role="status" className="text-caution">
        Nothing works from this piece, however small the {asked.label.replace('the ', '')}.
      </p>
    )
  return (
    <div className="flex flex-wrap items-center gap-3">
      <p role="status" className="text-lg">
        Up to{' '}
        <strong>
          <Fractions text={wordsOf(limit, unit)} />
        </strong>{' '}
        for {asked.label}.
      </p>
      {asked.question.kind === 'option' && (
        <Button onClick={() => change(oneStep, () => limit.file)}>Make it so</Button>
      )}
    </div>
  )
}

function wordsOf(limit: Exclude<Limit, { found: 'nothing' }>, unit: Unit): string {
  return limit.found === 'length'
    ? formatLength(limit.length, unit, { style: 'proper' })
    : `${Math.round(limit.factor * 100)} % of its size`
}

/** Which covers for this thing can be cut from the piece at all. */
function WaysFromIt({ file, sheet }: { readonly file: CoverFile; readonly sheet: Sheet }) {
  const ways = useMemo(
    () =>
      families.map(family => {
        const { plan, cover } = plannedOf(switchFamily(file, family.id))
        const uses = plan?.pieces.some(piece => piece.role === sheet.role) ?? false
        return {
          name: family.words.name,
          answer: plan && cover && uses ? fitsOnSheet(plan, cover, sheet) : undefined,
        }
      }),
    [file, sheet],
  )
  const named = (answer: boolean) =>
    ways.filter(way => way.answer === answer).map(({ name }) => name.toLowerCase())
  const [can, cannot] = [named(true), named(false)]
  return (
    <div className="text-sm text-soft">
      {can.length > 0 && <p>Can be cut from it: {can.join('; ')}.</p>}
      {cannot.length > 0 && <p>Not found to fit: {cannot.join('; ')}.</p>}
    </div>
  )
}

interface TypedSheet {
  readonly width: string
  readonly length: string
}

/** A fat quarter, or half a metre of a usual width. */
function startSheet(unit: Unit): TypedSheet {
  const say = (imperial: number, metric: number) =>
    formatLength(unit === 'in' ? inches(imperial) : mm(metric), unit)
  return { width: say(18, 1100), length: say(21, 500) }
}

function sheetOf({ width, length }: TypedSheet, role: Role, unit: Unit): Sheet | undefined {
  const [across, along] = [width, length].map(text => readLength(text, unit, sheetRange))
  return across?.ok && along?.ok ? { role, width: across.length, length: along.length } : undefined
}
