import { amountRange, easeRange, findFamily, panelRange, withSetting } from '@snowdrift/core'
import { LengthField } from '../../../parts/LengthField'
import { SelectField } from '../../../parts/SelectField'
import { useCover } from '../cover-context'
import { withEase, type EaseKey } from './sizing-ease'

const measureWords = { open: 'the open width', wrap: 'the wrap', device: 'the device' } as const

/** The ease to aim at, where the size is computed. Rounding up to the grid makes of it the ease as cut. */
export function EaseFields() {
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
      {field('easeWidth', 'Ease to aim at, round it')}
      {field('easeHeight', 'Ease to aim at, in height')}
    </div>
  )
}

/** How large the outer is that is cut already. */
export function CutFields() {
  const { file, unit, division, change } = useCover()
  const { sizing } = file
  if (sizing?.mode !== 'cut') return null
  const field = (key: 'width' | 'height', label: string) => (
    <LengthField
      label={label}
      unit={unit}
      value={sizing[key]}
      division={division}
      range={panelRange}
      onChange={typed =>
        typed !== undefined &&
        change(`cut-${key}`, current => withSetting(current, { kind: 'sizing', key }, typed))
      }
    />
  )
  return (
    <div className="flex flex-wrap gap-6">
      {field('width', 'Width of the panel')}
      {field('height', 'Height of the panel')}
    </div>
  )
}

/** What a rule of one's own adds, and to which measurement. */
export function RuleFields({ measures }: { readonly measures: readonly (keyof typeof measureWords)[] }) {
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
