import {
  namePiece,
  drawMissing,
  reckonOutcome,
  sayProperly,
  whatIfs,
  type Cover,
  type Outcome,
  type Plan,
  type WhatIfId,
} from '@snowdrift/core'
import { Link2 } from 'lucide-react'
import { useMemo, useState } from 'react'
import { Button } from '../../../parts/Button'
import { copyText } from '../../../parts/copy-text'
import { Fractions } from '../../../parts/Fractions'
import { Length } from '../../../parts/Length'
import { percent } from '../../../views/chance-words'
import { DrawingView } from '../../../views/DrawingView'
import { verdictTone, verdictWords } from '../../../views/verdict-words'
import { useCover } from '../cover-context'
import type { AskedChance } from './use-chance'
import type { ChosenWhatIf } from './use-what-if'

interface WhatIfPanelProps {
  readonly chosen: ChosenWhatIf
  readonly chance: AskedChance
  readonly cover: Cover
  readonly plan: Plan
}

/** What goes otherwise than planned, any of it together, side by side with the plan. */
export function WhatIfPanel({ chosen, chance, cover, plan }: WhatIfPanelProps) {
  const { unit } = useCover()
  const say = sayProperly(unit)
  const planned = useMemo(() => ({ cover, plan }), [cover, plan])
  const outcome = useMemo(() => reckonOutcome(planned, chosen.ids), [planned, chosen.ids])
  const toggle = (id: WhatIfId, on: boolean) =>
    chosen.choose(
      whatIfs.map(what => what.id).filter(known => (known === id ? on : chosen.ids.includes(known))),
    )
  const happening = whatIfs.filter(what => chosen.ids.includes(what.id) && what.cannot(planned) === undefined)
  return (
    <section className="grid gap-4" aria-label="What if">
      <h3 className="text-lg font-semibold">What if …</h3>
      <ul className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
        {whatIfs.map(({ id, name, cannot }) => {
          const why = cannot(planned)
          return (
            <li key={id}>
              <label className={`flex min-h-9 items-center gap-2 ${why ? 'text-soft' : ''}`}>
                <input
                  type="checkbox"
                  className="size-5 shrink-0 accent-thread"
                  checked={chosen.ids.includes(id) && !why}
                  disabled={why !== undefined}
                  onChange={event => toggle(id, event.target.checked)}
                />
                <span>
                  {name}
                  {why && <span className="block text-sm">not here: {why}</span>}
                </span>
              </label>
            </li>
          )
        })}
      </ul>
      {happening.length > 0 && (
        <>
          <ul className="list-disc pl-5 text-soft">
            {happening.map(what => (
              <li key={what.id}>
                <Fractions text={what.happens(planned, say)} />
              </li>
            ))}
          </ul>
          <Comparison plan={plan} outcome={outcome} chance={chance} />
          <MissingPicture plan={plan} outcome={outcome} />
          <Pieces outcome={outcome} />
          <CopyLink link={chosen.link} />
        </>
      )}
    </section>
  )
}

function Comparison({
  plan,
  outcome,
  chance,
}: {
  readonly plan: Plan
  readonly outcome: Outcome
  readonly chance: AskedChance
}) {
  const { unit } = useCover()
  return (
    <table className="w-full" data-what-if>
      <thead className="text-sm text-soft">
        <tr>
          <th scope="col" className="text-left font-normal">
            Ease
          </th>
          <th scope="col" className="text-left font-normal">
            As planned
          </th>
          <th scope="col" className="text-left font-normal">
            What if
          </th>
        </tr>
      </thead>
      <tbody>
        {plan.fits.map(fit => {
          const after = outcome.fits.find(({ direction }) => direction === fit.direction) ?? fit
          return (
            <tr key={fit.direction} className="border-t border-rule">
              <th scope="row" className="py-1.5 text-left font-normal">
                {fit.direction === 'width' ? 'round it' : 'in height'}
              </th>
              {[fit, after].map((own, index) => (
                <td key={index}>
                  <Length value={own.ease} unit={unit} />{' '}
                  <span className={verdictTone[own.verdict]}>{verdictWords[own.verdict]}</span>
                </td>
              ))}
            </tr>
          )
        })}
        <tr className="border-t border-rule font-medium">
          <th scope="row" className="py-1.5 text-left font-normal">
            chance
          </th>
          <td>{chance.simulation ? percent(chance.simulation.chance) : '…'}</td>
          <td data-what-if-chance>{chance.whatIf ? percent(chance.whatIf.chance) : '…'}</td>
        </tr>
      </tbody>
    </table>
  )
}

function MissingPicture({ plan, outcome: { missing } }: { readonly plan: Plan; readonly outcome: Outcome }) {
  const { unit } = useCover()
  const drawing = useMemo(() => drawMissing(plan.strip, missing, sayProperly(unit)), [plan, missing, unit])
  if (missing.width <= 0 && missing.height <= 0) return null
  return (
    <figure className="h-44" data-picture="missing">
      <DrawingView drawing={drawing} textScale={0.035} />
    </figure>
  )
}

const whyWords = {
  slip: 'lies on the table as',
  instead: 'would have to be cut',
} as const

function Pieces({ outcome }: { readonly outcome: Outcome }) {
  const { unit } = useCover()
  if (outcome.pieces.length === 0) return <p className="text-soft">The pieces stay as they are planned.</p>
  return (
    <table className="w-full text-sm" data-what-if-pieces>
      <caption className="text-left font-medium">Pieces that differ</caption>
      <tbody>
        {outcome.pieces.map(({ id, planned, width, height, why }) => (
          <tr key={`${id} ${why}`} className="border-t border-rule">
            <th scope="row" className="py-1 text-left font-normal">
              {namePiece(id)}
            </th>
            <td className="text-soft">
              <Length value={planned.width.cut} unit={unit} bare /> ×{' '}
              <Length value={planned.height.cut} unit={unit} />
            </td>
            <td>
              {whyWords[why]} <Length value={width} unit={unit} bare /> ×{' '}
              <Length value={height} unit={unit} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function CopyLink({ link }: { readonly link: () => string }) {
  const [copied, setCopied] = useState('')
  const copy = () => {
    const address = link()
    void copyText(address).then(isCopied => setCopied(isCopied ? 'The link is copied.' : address))
  }
  return (
    <div className="flex flex-wrap items-center gap-3">
      <Button onClick={copy}>
        <Link2 className="size-4" aria-hidden /> Copy a link to this
      </Button>
      <span role="status" className="text-sm break-all text-soft">
        {copied}
      </span>
    </div>
  )
}
