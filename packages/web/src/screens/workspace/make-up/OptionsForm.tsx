import { oneStep } from '../../../drafts/draft'
import { applyRepair, customary, findFamily, listOptionFields, mm, type CoverFile } from '@snowdrift/core'
import { FindingNote } from '../../../parts/FindingNote'
import { LengthField } from '../../../parts/LengthField'
import { OptionFields, type OptionValue } from '../../../parts/OptionFields'
import { SelectField } from '../../../parts/SelectField'
import { gridChoices } from '../../../views/grid-choices'
import { findingsAbout, useCover } from '../cover-context'
import { useEffects } from '../use-effects'

/** Seam, grid, and the options of the way of making. */
export function OptionsForm() {
  const { file, planned, unit, division, change } = useCover()
  const effects = useEffects()
  const family = findFamily(file.family)
  if (!family) return null
  const settled = planned.plan?.settled
  const unused = family.unused?.((settled?.options ?? {}) as Record<string, unknown>) ?? []
  // what was stated stays in sight, so that it can be taken out
  const hidden = new Set(settled ? unused.filter(key => !(key in (file.options ?? {}))) : [])
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
          onChange={typed => change('seam', current => withSeam(current, typed))}
        />
      )}
      <OptionFields
        fields={listOptionFields(family.options(unit)).filter(([key]) => !hidden.has(key))}
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

function withSeam({ seam: _before, ...file }: CoverFile, seam: string | undefined): CoverFile {
  return seam === undefined ? file : { ...file, seam }
}

function withGrid({ grid: _before, ...file }: CoverFile, grid: string): CoverFile {
  return grid === '' ? file : { ...file, grid }
}

function withOption(file: CoverFile, key: string, value: OptionValue): CoverFile {
  const { [key]: _before, ...others } = file.options ?? {}
  return { ...file, options: value === undefined ? others : { ...others, [key]: value } }
}
