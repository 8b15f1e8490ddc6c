import { describeDifferences, type CoverFile, type SizingChoice, type Unit } from '@snowdrift/core'
import { Amounts } from '../../../parts/Amounts'
import { Fractions } from '../../../parts/Fractions'
import { Length } from '../../../parts/Length'
import { usualCloth } from '../../../views/cloth-words'
import { headlineOf, verdictTone, verdictWords } from '../../../views/verdict-words'
import { useCover } from '../cover-context'
import { ClothNeeded } from './ClothNeeded'
import { sharedScale, SmallStrip } from './SmallStrip'

interface SizingTableProps {
  readonly choices: readonly SizingChoice[]
  readonly chosen: string
  readonly onChoose: (file: CoverFile) => void
}

/** Every recipe and the computed size on this thing with these layers. Choosing a row applies it. */
export function SizingTable({ choices, chosen, onChoose }: SizingTableProps) {
  const { unit } = useCover()
  const scale = sharedScale(
    choices.map(({ plan }) => plan),
    84,
  )
  const inUse = choices.find(({ id }) => id === chosen)
  return (
    <div className="overflow-x-auto" role="region" aria-label="Recipes compared" tabIndex={0}>
      <table className="w-full border-collapse text-left">
        <thead className="text-sm text-soft">
          <tr>
            <th scope="col" className="pr-2 font-normal">
              Recipe
            </th>
            <th scope="col" className="pr-2 font-normal">
              Outer cut
            </th>
            <th scope="col" className="pr-2 font-normal">
              Ease as cut
            </th>
            <th scope="col" className="font-normal">
              Cloth, {usualCloth(unit)} wide
            </th>
          </tr>
        </thead>
        <tbody>
          {choices.map(choice => (
            <Row
              key={choice.id}
              choice={choice}
              inUse={inUse}
              unit={unit}
              scale={scale}
              chosen={choice.id === chosen}
              onChoose={() => onChoose(choice.file)}
            />
          ))}
        </tbody>
      </table>
    </div>
  )
}

interface RowProps {
  readonly choice: SizingChoice
  readonly inUse: SizingChoice | undefined
  readonly unit: Unit
  readonly scale: number
  readonly chosen: boolean
  readonly onChoose: () => void
}

function Row({ choice, inUse, unit, scale, chosen, onChoose }: RowProps) {
  const { id, name, reason, price, cover, plan } = choice
  const outer = plan.pieces.find(piece => piece.id === 'outer')
  const { words, tone } = headlineOf(plan)
  const isSeamed = cover.family.traits.includes('seamed')
  const differs = inUse && !chosen ? describeDifferences(choice, inUse, unit) : []
  return (
    <tr className="border-t border-rule align-top has-checked:bg-thread-soft" data-recipe={id}>
      <th scope="row" className="py-2 pr-2 font-normal">
        <label className="grid cursor-pointer grid-cols-[auto_5.5rem_1fr] gap-x-2">
          <input
            type="radio"
            name="sizing"
            className="mt-1.5 accent-(--thread)"
            checked={chosen}
            onChange={onChoose}
            aria-label={name}
          />
          <SmallStrip plan={plan} scale={scale} label={`${name}, laid flat`} />
          <span className="grid content-start gap-0.5">
            <span className="font-medium">{name}</span>
            <span className={`text-sm ${tone}`}>{words}</span>
          </span>
        </label>
        <details className="mt-1 pl-6 text-sm text-soft">
          <summary>Why, and its price</summary>
          <p className="max-w-80">
            <Amounts words={reason} unit={unit} />
          </p>
          {price && (
            <p className="max-w-80">
              Its price: <Amounts words={price} unit={unit} />
            </p>
          )}
        </details>
        {differs.length > 0 && (
          <p className="mt-0.5 pl-6 text-sm text-soft">
            Differs: <Fractions text={differs.join(', ')} />
          </p>
        )}
      </th>
      <td className="py-2 pr-2 whitespace-nowrap">
        {outer && (
          <>
            <Length value={outer.width.cut} unit={unit} bare /> ×{' '}
            <Length value={outer.height.cut} unit={unit} />
            {isSeamed && (
              <span className="block text-sm text-soft">
                seam <Length value={plan.settled.seam} unit={unit} />
              </span>
            )}
          </>
        )}
      </td>
      <td className="py-2 pr-2 text-sm whitespace-nowrap">
        {plan.fits.map(({ direction, ease, verdict: own }) => (
          <p key={direction}>
            <Length value={ease} unit={unit} /> <span className="sr-only">{direction}, </span>
            <span className={verdictTone[own]}>{verdictWords[own]}</span>
          </p>
        ))}
      </td>
      <td className="py-2 whitespace-nowrap">
        <ClothNeeded plan={plan} cover={cover} unit={unit} />
      </td>
    </tr>
  )
}
