import { formatLength, parseLength, type TypedHand, type TypedLength, type Unit } from '@snowdrift/core'
import { Link } from 'react-router'
import { oneStep } from '../../../drafts/draft'
import { Button } from '../../../parts/Button'
import { Fractions } from '../../../parts/Fractions'
import { learntHand } from '../../../views/learnt-hand'
import { useLearnt } from '../../../views/use-learnt'
import { useCover } from '../cover-context'

/** Whose hand the cover is planned for: what was learnt and moves its numbers, to be taken in or left out again. */
export function HandNote() {
  const { file, unit, change } = useCover()
  const learnt = useLearnt()
  const known = learnt && learntHand(learnt.learnt)
  const isSame = JSON.stringify(known) === JSON.stringify(file.hand)
  if (!file.hand && !known) return null
  const take = (hand: TypedHand | undefined) =>
    change(oneStep, ({ hand: _, ...others }) => ({ ...others, ...(hand && { hand }) }))
  const makes = learnt ? Math.max(learnt.learnt.seamBias.makes, learnt.learnt.cutBias.makes) : 0
  return (
    <section aria-label="Your hand" className="grid gap-2 border-l-3 border-thread pl-4" data-hand>
      <p>
        {file.hand ? (
          <>
            Planned for your hand: <Fractions text={sayHand(file.hand, unit)} />.
          </>
        ) : (
          <>
            Your {makes} makes tell of your hand: <Fractions text={sayHand(known ?? {}, unit)} />. Nothing
            here reckons with it yet.
          </>
        )}{' '}
        <Link className="text-thread underline" to="/log">
          The makes behind it
        </Link>
      </p>
      <div className="flex flex-wrap gap-2">
        {known && !isSame && (
          <Button onClick={() => take(known)}>
            {file.hand ? 'Take what is known by now' : 'Reckon with it here'}
          </Button>
        )}
        {file.hand && (
          <Button look="quiet" onClick={() => take(undefined)}>
            Leave it out again
          </Button>
        )}
      </div>
    </section>
  )
}

/** “seams ¹⁄₆₄ in wide, …” */
function sayHand({ seamBias, cutBias, seamScatter, cutScatter }: TypedHand, unit: Unit): string {
  return [
    ...sayBias('seams', seamBias, ['wide', 'narrow'], unit),
    ...sayBias('edges cut', cutBias, ['large', 'small'], unit),
    ...sayScatter('seams', seamScatter, unit),
    ...sayScatter('edges', cutScatter, unit),
  ].join(', ')
}

function sayBias(
  name: string,
  typed: TypedLength | undefined,
  [more, less]: readonly [string, string],
  unit: Unit,
): readonly string[] {
  const text = String(typed ?? '')
  const isLess = text.startsWith('-')
  const size = sayLength(isLess ? text.slice(1) : text, unit)
  return size === undefined ? [] : [`${name} ${size} ${isLess ? less : more}`]
}

function sayScatter(name: string, typed: TypedLength | undefined, unit: Unit): readonly string[] {
  const size = sayLength(String(typed ?? ''), unit)
  return size === undefined ? [] : [`${name} to ${size}`]
}

function sayLength(text: string, unit: Unit): string | undefined {
  const read = text === '' ? undefined : parseLength(text, unit)
  if (!read?.ok) return undefined
  const said = formatLength(read.length, unit, { style: 'proper', finest: 64 })
  return /^0\b/.test(said) ? 'next to nothing' : said
}
