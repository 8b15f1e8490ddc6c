import { mm, type Purchase, type Unit } from '@snowdrift/core'
import { Length, Thickness } from '../../../parts/Length'

const mostShown = 4

interface WaysProps {
  readonly ways: readonly Purchase[] | undefined
  readonly unit: Unit
  readonly pay: (amount: number) => string
}

/** Every way to buy it that the shop has; another cloth than planned is said to be one. */
export function Ways({ ways, unit, pay }: WaysProps) {
  if (!ways) return null
  if (ways.length === 0) return <p className="text-sm text-soft">The shop has nothing that it goes on.</p>
  const best = ways[0]?.alike && ways[0].inStock ? ways[0] : undefined
  const rivals = ways.filter(way => way.alike && way.inStock).length
  return (
    <ul className="grid gap-0.5 text-sm">
      {ways.slice(0, mostShown).map((way, index) => (
        <li key={index} className={way === best ? 'font-medium' : 'text-soft'}>
          {way.kind === 'length' ? (
            <>
              <Length value={way.length} unit={unit} /> of {way.offer.name}
            </>
          ) : (
            `${way.count} × ${way.name} of ${way.offer.name}`
          )}
          , {pay(way.cost)}
          {!way.inStock && ', sold out'}
          {way === best && rivals > 1 && ' – the cheapest'}
          {!way.alike && (
            <>
              {' '}
              – another cloth, <Thickness value={mm(way.offer.thicknessMm)} /> thick
            </>
          )}
        </li>
      ))}
    </ul>
  )
}
