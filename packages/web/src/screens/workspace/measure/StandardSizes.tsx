import {
  changeThing,
  findFamily,
  formatLength,
  listThings,
  standardPages,
  standardThings,
  takeStandardSize,
  type StandardSize,
  type Unit,
} from '@snowdrift/core'
import { oneStep } from '../../../drafts/draft'
import { controlLook, Field } from '../../../parts/Field'
import { Unfold } from '../../../parts/Unfold'
import { useCover } from '../cover-context'

/** Where nobody can lay a tape on it: paper, exercise books and the like, chosen instead of measured. */
export function StandardSizes({ thing }: { readonly thing: number }) {
  const { file, unit, change } = useCover()
  const traits = findFamily(file.family)?.traits ?? []
  const sizes = traits.includes('journal') ? standardPages : standardThings
  if (traits.includes('device')) return null
  const isTaken = Object.values(listThings(file)[thing]?.readings ?? {}).some(list =>
    list?.some(reading => typeof reading === 'object' && reading.state === 'standard-size'),
  )
  const take = (id: string) => {
    const size = sizes.find(known => known.id === id)
    if (size)
      change(oneStep, current => changeThing(current, thing, object => takeStandardSize(object, size, unit)))
  }
  return (
    <Unfold
      data-standard-sizes
      summary={isTaken ? 'Of a standard size: counts as another copy' : 'Not at hand? Take a standard size'}
    >
      {() => (
        <div className="mt-3 grid gap-2">
          <Field
            label="Standard size"
            help="Books of one size differ by more than a tape: the chance counts them so."
          >
            {({ id, describedBy }) => (
              <select
                id={id}
                aria-describedby={describedBy}
                className={controlLook}
                value=""
                onChange={event => take(event.target.value)}
              >
                <option value="">choose …</option>
                {sizes.map(size => (
                  <option key={size.id} value={size.id}>
                    {sayStandardSize(size, unit)}
                  </option>
                ))}
              </select>
            )}
          </Field>
        </div>
      )}
    </Unfold>
  )
}

/** “A5 upright, 8 ¼ × 5 ¹³⁄₁₆ in”. */
function sayStandardSize({ name, readings }: StandardSize, unit: Unit): string {
  const sides = [readings.height ?? readings.pageHeight, readings.width ?? readings.pageWidth]
  const said = sides.flatMap(side =>
    side ? [formatLength(side, unit, { style: 'proper', finest: 16, bare: true })] : [],
  )
  return `${name}, ${said.join(' × ')} ${unit}`
}
