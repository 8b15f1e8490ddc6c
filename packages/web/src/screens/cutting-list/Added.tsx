import { findExtra, quiltingPitch, type CoverFile, type Plan, type Unit } from '@snowdrift/core'
import { Length } from '../../parts/Length'

interface AddedProps {
  readonly file: CoverFile
  readonly plan: Plan
  readonly unit: Unit
}

/** Everything added: where it sits, and the sizes that no piece of cloth says. */
export function Added({ file, plan, unit }: AddedProps) {
  const extras = file.extras ?? []
  // What the way of making quilts itself is no extra, and is said all the same.
  const pitch = extras.some(({ type }) => type === 'quilting') ? undefined : quiltingPitch(plan.strip)
  if (extras.length === 0 && pitch === undefined) return null
  return (
    <section className="keep-together mt-6" aria-label="Added">
      <h2 className="text-lg font-semibold">Added</h2>
      <ul className="grid gap-1">
        {pitch !== undefined && (
          <li data-added="quilted">
            <span className="font-medium">Quilted</span>; lines <Length value={pitch} unit={unit} /> apart
          </li>
        )}
        {extras.map(({ type }, index) => (
          <li key={index} data-added={type}>
            <span className="font-medium">{findExtra(type)?.words.name ?? type}</span>
            <Place plan={plan} index={index} unit={unit} />
            {plan.notes
              .filter(({ extra }) => extra === index)
              .map(({ label, length }) => (
                <span key={label}>
                  ; {label} <Length value={length} unit={unit} />
                </span>
              ))}
          </li>
        ))}
      </ul>
    </section>
  )
}

interface PlaceProps {
  readonly plan: Plan
  readonly index: number
  readonly unit: Unit
}

/** “on the flap: 4 × 5 in, 1 in from its left edge, ½ in from below”, as seen from the right side of that piece. */
function Place({ plan, index, unit }: PlaceProps) {
  const placed = plan.placed.find(({ extra }) => extra === index)
  if (!placed) return null
  const { ground, x, y, width, height } = placed
  return (
    <>
      {' '}
      on the {ground.name}: <Length value={width} unit={unit} bare /> × <Length value={height} unit={unit} />,{' '}
      <Length value={x} unit={unit} /> from its left edge, <Length value={y} unit={unit} /> from below
    </>
  )
}
