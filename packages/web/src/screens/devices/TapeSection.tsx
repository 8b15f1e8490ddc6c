import { units, type Unit } from '@snowdrift/core'
import { useState } from 'react'
import { tapeWanted } from '../../app/devices-slice'
import { useAppDispatch, useAppSelector } from '../../app/store'
import { tape } from '../../devices/tape/the-tape'
import type { TapeFaults } from '../../devices/tape/simulated-tape'
import { Button } from '../../parts/Button'
import { LengthField } from '../../parts/LengthField'
import { SelectField } from '../../parts/SelectField'
import { Toggle } from '../../parts/Toggle'
import { defaultTapeDivision, readingRanges } from '@snowdrift/core'
import { unitWords } from '../../views/unit-words'
import { useWorkshopUnit } from '../../views/use-workshop-unit'

const hands = { still: 'still', shaking: 'shaking' } as const
const charge = { '80': 'full enough', '12': 'low', '0': 'empty' } as const

/** A digital tape, and what can be wrong with it. */
export function TapeSection() {
  const isOn = useAppSelector(state => state.devices.tape)
  const dispatch = useAppDispatch()
  const unit = useWorkshopUnit(undefined)
  const [hand, setHand] = useState<keyof typeof hands>('still')
  const [battery, setBattery] = useState<keyof typeof charge>('80')
  const [setTo, setSetTo] = useState<Unit>('mm')
  const [tried, setTried] = useState<string>()
  const set = (faults: Partial<TapeFaults>) => tape.set(faults)
  return (
    <section className="grid gap-4" aria-labelledby="tape">
      <h2 id="tape" className="text-xl font-semibold">
        Digital tape
      </h2>
      <p className="max-w-2xl text-soft">
        What it reads goes where the cursor is, on every screen, and the cursor goes on to the next
        measurement.
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <Labelled label="The hand">
          <Toggle
            label="The hand is"
            value={hand}
            choices={hands}
            onChange={next => {
              setHand(next)
              set({ jitterMm: next === 'still' ? 0.2 : 4 })
            }}
          />
        </Labelled>
        <Labelled label="Its battery">
          <Toggle
            label="Its battery is"
            value={battery}
            choices={charge}
            onChange={next => {
              setBattery(next)
              set({ battery: Number(next) })
            }}
          />
        </Labelled>
        <SelectField
          label="It is set to"
          value={setTo}
          choices={Object.fromEntries(units.map(name => [name, unitWords[name]])) as Record<Unit, string>}
          onChange={next => {
            setSetTo(next)
            set({ unit: next })
          }}
        />
        {isOn ? (
          <Button onClick={() => tape.lose()}>Take it out of reach</Button>
        ) : (
          <Button look="act" onClick={() => dispatch(tapeWanted(true))}>
            Connect the tape
          </Button>
        )}
      </div>
      <LengthField
        label="Try it here"
        help="Put the cursor here and press the tape’s button below. It is kept nowhere."
        unit={unit}
        division={defaultTapeDivision(unit)}
        range={readingRanges.height}
        value={tried}
        onChange={setTried}
      />
    </section>
  )
}

function Labelled({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <div className="grid justify-items-start gap-1">
      <span className="font-medium">{label}</span>
      {children}
    </div>
  )
}
