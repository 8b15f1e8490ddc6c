import {
  findFamily,
  findSameFits,
  listSizingChoices,
  ownChoiceId,
  type CoverFile,
  type Family,
  type RuleRow,
  type SizingChoice as Choice,
  type Unit,
} from '@snowdrift/core'
import { useMemo } from 'react'
import { useRulesQuery } from '../../../api/api'
import { oneStep } from '../../../drafts/draft'
import { useCover } from '../cover-context'
import { ForgetRule, KeepRule } from './KeepRule'
import { CutFields, EaseFields, RuleFields } from './SizingFields'
import { SizingTable } from './SizingTable'

const none: readonly RuleRow[] = []

/** How the size is found: computed, by a recipe or by a rule of one's own, compared in one table. */
export function SizingChoice() {
  const { file } = useCover()
  const family = findFamily(file.family)
  return family ? <Choices family={family} /> : null
}

function Choices({ family }: { readonly family: Family }) {
  const { file, unit, change } = useCover()
  const { data: rules = none } = useRulesQuery()
  const kept = useMemo(() => rules.filter(rule => rule.family === family.id), [rules, family])
  const choices = useMemo(
    () =>
      listSizingChoices(
        file,
        kept.map(({ name, rule, unit: own }) => ({ recipe: { name, ...rule }, unit: own })),
      ),
    [file, kept],
  )
  const chosen = chosenOf(file)
  const choose = (next: CoverFile) => change(oneStep, () => next)
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-2 text-lg font-semibold">How its size is found</legend>
      {choices.length === 0 && (
        <p className="text-soft">
          The ways to find it are compared as soon as everything it needs can be read.
        </p>
      )}
      {choices.length > 1 && <SizingTable choices={choices} chosen={chosen} onChoose={choose} />}
      <SameFits choices={choices} />
      {chosen === 'computed' && hasEase(family, unit) && <EaseFields />}
      {chosen === 'cut' && <CutFields />}
      {chosen === 'rule' && <RuleFields measures={family.ruleMeasures} />}
      {chosen === 'rule' && <KeepRule kept={kept} />}
      {kept
        .filter(({ name }) => ownChoiceId(name) === chosen)
        .map(rule => (
          <ForgetRule key={rule.id} rule={rule} />
        ))}
    </fieldset>
  )
}

/** Which row of the table is in use; `rule` where it is none of them. */
function chosenOf({ sizing }: CoverFile): string {
  switch (sizing?.mode) {
    case 'recipe':
      return typeof sizing.recipe === 'string' ? sizing.recipe : ownChoiceId(sizing.recipe.name)
    case 'rule':
    case 'cut':
      return sizing.mode
    default:
      return 'computed'
  }
}

/** Where a cover has no fit of its own there is no ease to aim at. */
function hasEase({ defaultEase }: Family, unit: Unit): boolean {
  return defaultEase(unit).height > 0
}

/** Amounts that differ only by what their seams take come to the same on the book. */
function SameFits({ choices }: { readonly choices: readonly Choice[] }) {
  const nameOf = (id: string) => choices.find(choice => choice.id === id)?.name ?? id
  const pairs = findSameFits(choices)
  if (pairs.length === 0) return null
  return (
    <ul className="grid gap-1 text-sm" data-same-fits>
      {pairs.map(([one, other]) => (
        <li key={one + other}>
          <strong>{nameOf(one)}</strong> and <strong>{nameOf(other)}</strong>: another seam, the same fit.
        </li>
      ))}
    </ul>
  )
}
