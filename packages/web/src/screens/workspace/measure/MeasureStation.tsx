import { oneStep } from '../../../drafts/draft'
import {
  changeUnit,
  drawMeasureGuide,
  objectKinds,
  spineShapes,
  units,
  type ReadingKey,
  type TypedObject,
  type Unit,
} from '@snowdrift/core'
import { useMemo, useState } from 'react'
import { SelectField } from '../../../parts/SelectField'
import { DrawingView } from '../../../views/DrawingView'
import { kindWords, spineWords } from '../../../views/kind-words'
import { useCover } from '../cover-context'
import { ReadingList } from './ReadingList'
import { ThingDiffers } from './ThingDiffers'

const main: readonly ReadingKey[] = ['height', 'wrap', 'width', 'thickness', 'openWidth', 'boardThickness']
const further: readonly ReadingKey[] = [
  'coilDiameter',
  'pageWidth',
  'pageHeight',
  'contentsThickness',
  'grooveDepth',
  'cornerRadius',
]

/** What is covered, and what the tape says of it. */
export function MeasureStation() {
  const { file } = useCover()
  const [focused, setFocused] = useState<ReadingKey>('height')
  const onCoil = file.object?.spine === 'coil'
  const shown: readonly ReadingKey[] = onCoil ? [...main, 'coilDiameter'] : main
  return (
    <div className="grid gap-6">
      <h2 className="sr-only">Measure</h2>
      <ThingDiffers />
      <ObjectFields />
      <div className="grid gap-6 sm:grid-cols-[1fr_11rem]">
        <div className="order-2 grid content-start gap-5 sm:order-1">
          {shown.map(reading => (
            <ReadingList key={reading} reading={reading} onFocus={() => setFocused(reading)} />
          ))}
          <details>
            <summary className="text-soft">Other measurements</summary>
            <div className="mt-4 grid gap-5">
              {further
                .filter(reading => !shown.includes(reading))
                .map(reading => (
                  <ReadingList key={reading} reading={reading} onFocus={() => setFocused(reading)} />
                ))}
            </div>
          </details>
        </div>
        <MeasureGuide reading={focused} />
      </div>
    </div>
  )
}

function MeasureGuide({ reading }: { readonly reading: ReadingKey }) {
  const drawing = useMemo(() => drawMeasureGuide(reading), [reading])
  return (
    <figure className="order-1 self-start sm:sticky sm:top-2 sm:order-2">
      <div className="h-32">
        <DrawingView drawing={drawing} textScale={0.055} />
      </div>
      <figcaption className="text-sm text-soft">Where the tape goes. Not to scale.</figcaption>
    </figure>
  )
}

function ObjectFields() {
  const { file, unit, change } = useCover()
  const object: TypedObject = file.object ?? { kind: 'hardcover' }
  const set = (changes: Partial<TypedObject>) =>
    change(oneStep, current => ({ ...current, object: { ...object, ...changes } }))
  return (
    <div className="grid grid-cols-2 gap-4">
      <SelectField
        label="What it is"
        value={object.kind}
        choices={namesOf(objectKinds, kind => kindWords[kind].name)}
        onChange={kind => set({ kind })}
      />
      <SelectField
        label="Spine"
        value={object.spine ?? 'flat'}
        choices={namesOf(spineShapes, spine => spineWords[spine])}
        onChange={spine => set({ spine })}
      />
      <SelectField
        label="The covers"
        value={object.foldsBack === false ? 'no' : 'yes'}
        choices={{ yes: 'fold right back', no: 'do not fold right back' }}
        onChange={answer => set({ foldsBack: answer === 'yes' })}
      />
      <SelectField
        label="Unit"
        value={unit}
        choices={namesOf(units, name => ({ in: 'inches', cm: 'centimetres', mm: 'millimetres' })[name])}
        onChange={(next: Unit) => change(oneStep, current => changeUnit(current, next))}
      />
    </div>
  )
}

function namesOf<Name extends string>(
  names: readonly Name[],
  words: (name: Name) => string,
): Record<Name, string> {
  return Object.fromEntries(names.map(name => [name, words(name)])) as Record<Name, string>
}
