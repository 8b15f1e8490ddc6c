import { defaultTapeDivision, mm, type Verdict } from '@snowdrift/core'
import { oneStep } from '../../drafts/draft'
import { Length } from '../../parts/Length'
import { LengthField } from '../../parts/LengthField'
import { SelectField } from '../../parts/SelectField'
import { useWorkshopUnit } from '../../views/use-workshop-unit'
import { WrittenUnit } from '../../parts/written-unit'
import { verdictWords } from '../../views/verdict-words'
import { percent } from '../../views/chance-words'
import type { LogPart } from './log-part'

const directions = ['width', 'height'] as const
type Direction = (typeof directions)[number]

const range = { min: mm(1), max: mm(10_000) }

/** How it went on, and the sizes as they really came out. */
export function HowItWent({ log, change }: LogPart) {
  const { planned } = log
  const unit = useWorkshopUnit(log.unit)
  const known = directions.filter(direction => planned.cutMm[direction] !== undefined)
  return (
    <WrittenUnit value={log.unit}>
      <section aria-label="How it came out" className="grid gap-4">
        <div className="grid gap-4 sm:grid-cols-3">
          <SelectField
            label="Does it fit?"
            value={log.fit === null ? '' : log.fit ? 'yes' : 'no'}
            choices={{ '': 'nobody said', yes: 'it fits', no: 'it does not' }}
            onChange={said =>
              change(oneStep, before => ({ ...before, fit: said === '' ? null : said === 'yes' }))
            }
          />
          {directions
            .filter(direction => planned.easeMm[direction] !== undefined)
            .map(direction => (
              <SelectField
                key={direction}
                label={direction === 'width' ? 'Across it is' : 'In height it is'}
                value={log.wentOn[direction] ?? ''}
                choices={verdictChoices}
                onChange={said =>
                  change(oneStep, before => ({ ...before, wentOn: withSaid(before.wentOn, direction, said) }))
                }
              />
            ))}
        </div>
        {planned.chance !== undefined && (
          <p className="text-soft">
            Its chance of fitting was put at <strong>{percent(planned.chance)}</strong>.
          </p>
        )}
        {known.map(direction => (
          <fieldset key={direction} className="grid gap-2">
            <legend className="font-medium">
              Outer, {direction}: to be cut at{' '}
              <Length value={mm(planned.cutMm[direction] ?? 0)} unit={unit} />
            </legend>
            <div className="grid gap-x-4 gap-y-2 sm:grid-cols-2">
              {(['cut', 'sewn'] as const).map(list => (
                <LengthField
                  key={list}
                  label={`${direction === 'width' ? 'Width' : 'Height'} as ${list}`}
                  unit={unit}
                  value={log[list][direction]}
                  division={defaultTapeDivision(unit)}
                  range={range}
                  whenLeft
                  onChange={typed =>
                    change(`${list} ${direction}`, before => ({
                      ...before,
                      [list]: withSaid(before[list], direction, typed ?? ''),
                    }))
                  }
                />
              ))}
            </div>
          </fieldset>
        ))}
      </section>
    </WrittenUnit>
  )
}

const verdictChoices = { '': 'nobody said', ...verdictWords } as Readonly<Record<Verdict | '', string>>

type BothWays<Said> = { readonly [Way in Direction]?: Said | undefined }

/** Said of one direction; taken back where it is empty. */
function withSaid<Said extends string>(all: BothWays<Said>, direction: Direction, said: Said | '') {
  const { [direction]: _, ...others } = all
  return { ...others, ...(said !== '' && { [direction]: said }) } as { [Way in Direction]?: Said | undefined }
}
