import { oneStep } from '../../../drafts/draft'
import {
  applyRepair,
  customary,
  findFamily,
  listOptionFields,
  mm,
  withSetting,
  type CoverFile,
  type Family,
} from '@snowdrift/core'
import { useState } from 'react'
import { FindingNote } from '../../../parts/FindingNote'
import { LengthField } from '../../../parts/LengthField'
import { OptionFields, type OptionValue } from '../../../parts/OptionFields'
import { SelectField } from '../../../parts/SelectField'
import { gridChoices } from '../../../views/grid-choices'
import { findingsAbout, useCover } from '../cover-context'
import { useEffects } from '../use-effects'
import { splitOptions } from './split-options'

/** Seam, grid, and the options of the way of making. */
export function OptionsForm() {
  const { file } = useCover()
  const family = findFamily(file.family)
  return family ? <Options key={family.id} family={family} /> : null
}

function Options({ family }: { readonly family: Family }) {
  const { file, planned, unit, division, change } = useCover()
  const effects = useEffects()
  // As it stood when it was opened: a field that is being typed in does not go elsewhere.
  const [wanted] = useState(
    () => (key: string) => key in (file.options ?? {}) || findingsAbout(planned, `option:${key}`).length > 0,
  )
  const settled = planned.plan?.settled
  const unused = family.unused?.((settled?.options ?? {}) as Record<string, unknown>) ?? []
  // what was stated stays in sight, so that it can be taken out
  const hidden = new Set(settled ? unused.filter(key => !(key in (file.options ?? {}))) : [])
  const fields = listOptionFields(family.options(unit)).filter(([key]) => !hidden.has(key))
  const { shown, more } = splitOptions(fields, wanted)
  const form = (some: typeof shown) => (
    <OptionFields
      fields={some}
      values={file.options ?? {}}
      settled={(settled?.options ?? {}) as Record<string, unknown>}
      unit={unit}
      division={division}
      onChange={(key, value) => change(`option.${key}`, current => withOption(current, key, value))}
      effectOf={(key, value) => effects(current => withOption(current, key, value))}
      below={key =>
        findingsAbout(planned, `option:${key}`).map((finding, index) => (
          <FindingNote
            key={`${finding.code} ${index}`}
            finding={finding}
            unit={unit}
            onRepair={repair => change(oneStep, current => applyRepair(current, repair))}
          />
        ))
      }
    />
  )
  const isSeamed = family.traits.includes('seamed')
  return (
    <section className="grid gap-5">
      <h3 className="text-lg font-semibold">{isSeamed ? 'Seam, options and grid' : 'Options and grid'}</h3>
      {isSeamed && (
        <LengthField
          label="Seam allowance"
          unit={unit}
          value={file.seam}
          fallback={settled?.seam ?? customary(1 / 4, unit)}
          division={division}
          range={{ min: mm(1), max: mm(50) }}
          onChange={typed => change('seam', current => withSetting(current, { kind: 'seam' }, typed))}
        />
      )}
      {form(shown)}
      {more.length > 0 && (
        <details>
          <summary className="text-soft">More: {more.length} sizes that hold as they usually do</summary>
          <div className="mt-3 grid gap-5">{form(more)}</div>
        </details>
      )}
      <SelectField
        label="Cutting grid"
        value={file.grid === undefined ? '' : String(file.grid)}
        choices={gridChoices({
          reckoned: file.unit ?? 'in',
          shown: unit,
          stated: String(file.grid ?? ''),
        })}
        onChange={grid => change(oneStep, current => withGrid(current, grid))}
        effectOf={grid => effects(current => withGrid(current, grid))}
      />
    </section>
  )
}

function withGrid({ grid: _before, ...file }: CoverFile, grid: string): CoverFile {
  return grid === '' ? file : { ...file, grid }
}

function withOption(file: CoverFile, key: string, value: OptionValue): CoverFile {
  const { [key]: _before, ...others } = file.options ?? {}
  return { ...file, options: value === undefined ? others : { ...others, [key]: value } }
}
