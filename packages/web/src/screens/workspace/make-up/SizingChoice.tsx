import { oneStep } from '../../../drafts/draft'
import {
  findFamily,
  type Family,
  mm,
  zero,
  type CoverFile,
  type LengthRange,
  type TypedSizing,
} from '@snowdrift/core'
import { Length } from '../../../parts/Length'
import { LengthField } from '../../../parts/LengthField'
import { SelectField } from '../../../parts/SelectField'
import { plannedOf } from '../../../views/planned'
import { verdictTone, verdictWords, worstVerdict } from '../../../views/verdict-words'
import { useCover } from '../cover-context'

const measureWords = { open: 'the open width', wrap: 'the wrap', device: 'the device' } as const

/** How the size is found. Each choice shows its effect before it is made. */
export function SizingChoice() {
  const { file, change } = useCover()
  const family = findFamily(file.family)
  if (!family) return null
  const sizing: TypedSizing = file.sizing ?? { mode: 'computed' }
  const choose = (make: (file: CoverFile) => CoverFile) => change(oneStep, make)
  return (
    <fieldset className="grid gap-2">
      <legend className="mb-2 text-lg font-semibold">How its size is found</legend>
      <Choice
        name="Computed"
        words="Need plus ease. Another seam changes the cut, not the fit."
        chosen={sizing.mode === undefined || sizing.mode === 'computed'}
        make={computed}
        onChoose={choose}
      >
        <EaseFields />
      </Choice>
      {family.recipes.map(recipe => (
        <Choice
          key={recipe.id}
          name={recipe.name}
          words={recipe.reason}
          price={recipe.price}
          chosen={sizing.mode === 'recipe' && sizing.recipe === recipe.id}
          make={current => byRecipe(current, recipe)}
          onChoose={choose}
        />
      ))}
      <Choice
        name="My own rule"
        words="A measurement and a fixed amount; the fit follows."
        chosen={sizing.mode === 'rule'}
        make={byRule}
        onChoose={choose}
      >
        <RuleFields measures={family.ruleMeasures} />
      </Choice>
    </fieldset>
  )
}

type FamilyRecipe = Family['recipes'][number]

interface ChoiceProps {
  readonly name: string
  readonly words: string
  readonly price?: string
  readonly chosen: boolean
  readonly make: (file: CoverFile) => CoverFile
  readonly onChoose: (make: (file: CoverFile) => CoverFile) => void
  readonly children?: React.ReactNode
}

function Choice({ name, words, price, chosen, make, onChoose, children }: ChoiceProps) {
  const { file } = useCover()
  return (
    <div className="rounded-md border border-rule bg-surface has-[>label>input:checked]:border-thread">
      <label className="flex cursor-pointer items-start gap-3 p-3">
        <input
          type="radio"
          name="sizing"
          className="mt-1.5 accent-(--thread)"
          checked={chosen}
          onChange={() => onChoose(make)}
        />
        <span className="grid min-w-0 flex-1 gap-0.5">
          <span className="flex flex-wrap items-baseline justify-between gap-x-3">
            <span className="font-medium">{name}</span>
            <Effect file={chosen ? file : make(file)} />
          </span>
          <span className="text-sm text-soft">{words}</span>
          {price && <span className="text-sm text-soft">Its price: {price}</span>}
        </span>
      </label>
      {chosen && children && <div className="border-t border-rule p-3">{children}</div>}
    </div>
  )
}

/** The cut of the outer cloth, and the verdict. */
function Effect({ file }: { readonly file: CoverFile }) {
  const { unit } = useCover()
  const { plan } = plannedOf(file)
  const outer = plan?.pieces.find(({ id }) => id === 'outer')
  const verdict = plan && worstVerdict(plan.fits)
  if (!outer || !verdict) return null
  return (
    <span className="text-sm">
      <Length value={outer.width.cut} unit={unit} bare /> × <Length value={outer.height.cut} unit={unit} />
      {', '}
      <span className={verdictTone[verdict]}>{verdictWords[verdict]}</span>
    </span>
  )
}

const easeRange: LengthRange = { min: zero, max: mm(150) }
const amountRange: LengthRange = { min: zero, max: mm(500) }

type EaseKey = 'easeWidth' | 'easeHeight'

function EaseFields() {
  const { file, planned, unit, division, change } = useCover()
  const { sizing } = file
  const usual = findFamily(file.family)?.defaultEase(unit)
  if (!planned.cover || (sizing && sizing.mode !== undefined && sizing.mode !== 'computed')) return null
  const field = (key: EaseKey, label: string) => (
    <LengthField
      label={label}
      unit={unit}
      value={sizing && key in sizing ? (sizing as Record<EaseKey, string>)[key] : undefined}
      fallback={key === 'easeWidth' ? usual?.width : usual?.height}
      division={division}
      range={easeRange}
      onChange={typed =>
        change(key, current => ({ ...current, sizing: withEase(current.sizing, key, typed) }))
      }
    />
  )
  return (
    <div className="flex flex-wrap gap-6">
      {field('easeWidth', 'Ease round it')}
      {field('easeHeight', 'Ease in height')}
    </div>
  )
}

function RuleFields({ measures }: { readonly measures: readonly (keyof typeof measureWords)[] }) {
  const { file, unit, division, change } = useCover()
  const { sizing } = file
  if (sizing?.mode !== 'rule') return null
  const set = (key: string, value: string) =>
    change(key, current => ({ ...current, sizing: { ...sizing, [key]: value } }))
  const field = (key: 'addWidth' | 'addHeight', label: string) => (
    <LengthField
      label={label}
      unit={unit}
      value={sizing[key]}
      division={division}
      range={amountRange}
      onChange={typed => typed !== undefined && set(key, typed)}
    />
  )
  return (
    <div className="flex flex-wrap gap-6">
      <SelectField
        label="Added to"
        value={sizing.measure ?? measures[0] ?? 'wrap'}
        choices={measureWordsOf(measures)}
        onChange={measure => set('measure', measure)}
      />
      {field('addWidth', 'Added to the width')}
      {field('addHeight', 'Added to the height')}
    </div>
  )
}

function measureWordsOf(measures: readonly (keyof typeof measureWords)[]) {
  return Object.fromEntries(measures.map(measure => [measure, measureWords[measure]])) as typeof measureWords
}

function computed(file: CoverFile): CoverFile {
  return { ...file, sizing: { mode: 'computed' } }
}

/** A recipe brings its own seam and options, so what was set of them before makes room. */
function byRecipe(file: CoverFile, recipe: FamilyRecipe): CoverFile {
  const { seam: _seam, ...rest } = file
  const { cover } = plannedOf(file)
  const brought = cover
    ? recipe.options({
        object: cover.object,
        stack: cover.stack,
        unit: cover.unit,
        seam: recipe.seam(cover.unit),
      })
    : {}
  const kept = Object.entries(file.options ?? {}).filter(([key]) => !(key in brought))
  return { ...rest, options: Object.fromEntries(kept), sizing: { mode: 'recipe', recipe: recipe.id } }
}

function byRule(file: CoverFile): CoverFile {
  const [addWidth, addHeight] =
    file.unit === 'in' || file.unit === undefined ? ['1 1/2 in', '1 1/2 in'] : ['38 mm', '38 mm']
  return { ...file, sizing: { mode: 'rule', addWidth, addHeight } }
}

function withEase(sizing: TypedSizing | undefined, key: EaseKey, typed: string | undefined): TypedSizing {
  const eases = sizing && (sizing.mode === undefined || sizing.mode === 'computed') ? sizing : {}
  const { [key]: _before, ...others } = eases
  return typed === undefined ? { ...others, mode: 'computed' } : { ...others, mode: 'computed', [key]: typed }
}
