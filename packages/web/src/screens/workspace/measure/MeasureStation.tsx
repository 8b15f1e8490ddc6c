import { oneStep } from '../../../drafts/draft'
import {
  changeThing,
  changeUnit,
  findFamily,
  listThings,
  objectKinds,
  readingKeys,
  spineShapes,
  usualSpine,
  type CoverFile,
  type EdgeShape,
  type ObjectKind,
  type ReadingKey,
  type SpineShape,
  type Stiffness,
  type TypedObject,
  type Unit,
} from '@snowdrift/core'
import { memo, useCallback, useState } from 'react'
import { measuring } from '../../../app/measuring-slice'
import { useAppDispatch, useAppSelector } from '../../../app/store'
import { NoteField } from '../../../parts/NoteField'
import { SelectField } from '../../../parts/SelectField'
import { Unfold } from '../../../parts/Unfold'
import { kindWords, spineWords } from '../../../views/kind-words'
import { unitWords } from '../../../views/unit-words'
import { useCover, type CoverInHand } from '../cover-context'
import { useChance } from '../fit/use-chance'
import { BookTabs } from './BookTabs'
import { MeasureGuide } from './MeasureGuide'
import { OwnersReadings } from './OwnersReadings'
import { readingsFor } from './readings-asked'
import { bestMeasuring, PaysMost, readingOf } from './PaysMost'
import { OldCover } from './OldCover'
import { ReadingList } from './ReadingList'
import { StandardSizes } from './StandardSizes'
import { ThingDiffers } from './ThingDiffers'
import { WrappedCloth } from './WrappedCloth'

/** What is covered, and what the tape says of it. */
export function MeasureStation() {
  const cover = useCover()
  const { file, unit, change } = cover
  const { remedies } = useChance(file, { remedies: true, idleMs: 400 })
  const best = bestMeasuring(remedies)
  const asked = best && readingOf(best)
  const dispatch = useAppDispatch()
  const { reading: focused } = useAppSelector(state => state.measuring)
  const [book, setBook] = useState(0)
  const things = listThings(file)
  const thing = Math.min(book, Math.max(0, things.length - 1))
  const shown = readingsFor(file, things[thing])
  const setFocused = useCallback(
    (reading: ReadingKey) => dispatch(measuring({ thing, reading })),
    [dispatch, thing],
  )
  const isNew = Object.keys(things[thing]?.readings ?? {}).length === 0
  return (
    <div className="grid gap-6">
      <h2 className="sr-only">Measure</h2>
      <ThingDiffers />
      <OwnersReadings />
      {things.length > 1 && <BookTabs thing={thing} onChoose={setBook} />}
      <ObjectFields thing={thing} />
      <div className={`grid gap-6 ${cover.shown.plan ? 'sm:grid-cols-[1fr_11rem]' : ''}`}>
        <div key={thing} className="order-2 grid content-start gap-5 sm:order-1">
          {shown.map(reading => (
            <div key={reading} className="grid gap-2">
              <ReadingList
                measured={cover}
                thing={thing}
                reading={reading}
                autoFocus={isNew && reading === shown[0]}
                onFocus={setFocused}
              />
              {best && asked === reading && <PaysMost remedy={best} unit={unit} />}
            </div>
          ))}
          {best && asked === undefined && <PaysMost remedy={best} unit={unit} />}
          {things.length <= 1 && <BookTabs thing={thing} onChoose={setBook} />}
          {shown.includes('openWidth') && <WrappedCloth thing={thing} />}
          <StandardSizes thing={thing} />
          <OldCover key={cover.id} />
          <Unfold summary="Other measurements, and stiffness">
            {() => (
              <div className="mt-4 grid gap-5">
                {things[thing] && hasSpine(file, things[thing]) && <StiffnessFields thing={thing} />}
                {readingKeys
                  .filter(reading => !shown.includes(reading))
                  .map(reading => (
                    <ReadingList
                      key={reading}
                      measured={cover}
                      thing={thing}
                      reading={reading}
                      onFocus={setFocused}
                    />
                  ))}
              </div>
            )}
          </Unfold>
        </div>
        {cover.shown.plan && <MeasureGuide reading={focused} />}
      </div>
      <NoteField
        label="Note on this cover"
        value={file.note ?? ''}
        onChange={note => change('note', current => withNote(current, note))}
      />
    </div>
  )
}

function withNote({ note: _before, ...file }: CoverFile, note: string): CoverFile {
  return note.trim() === '' ? file : { ...file, note }
}

/** What holds its pages itself, or has none, has neither a spine nor covers to ask for. */
function hasSpine({ family }: CoverFile, { kind }: TypedObject): boolean {
  const traits = findFamily(family)?.traits ?? []
  return kind !== 'tablet' && !traits.includes('device') && !traits.includes('journal')
}

function ObjectFields({ thing }: { readonly thing: number }) {
  const { file, change } = useCover()
  const object: TypedObject = listThings(file)[thing] ?? { kind: 'hardcover' }
  return (
    <KindFields
      thing={thing}
      kind={object.kind}
      spine={object.spine ?? 'flat'}
      foldsBack={object.foldsBack !== false}
      edges={object.edges ?? 'eased'}
      unit={file.unit ?? 'in'}
      asksSpine={hasSpine(file, object)}
      asksEdges={isDevice(file)}
      change={change}
    />
  )
}

interface KindFieldsProps extends Pick<CoverInHand, 'change'> {
  readonly thing: number
  readonly kind: ObjectKind
  readonly spine: SpineShape
  readonly foldsBack: boolean
  readonly edges: EdgeShape
  readonly unit: Unit
  readonly asksSpine: boolean
  readonly asksEdges: boolean
}

/** Lists of choices, not drawn anew while lengths are typed. */
const KindFields = memo(function KindFields(props: KindFieldsProps) {
  const { thing, kind, spine, foldsBack, edges, unit, asksSpine, asksEdges, change } = props
  const set = (changesOf: (known: TypedObject) => Partial<TypedObject>) =>
    change(oneStep, current => changeThing(current, thing, known => ({ ...known, ...changesOf(known) })))
  return (
    <div className="grid grid-cols-2 gap-4">
      <SelectField
        label="What it is"
        value={kind}
        choices={namesOf(objectKinds, known => kindWords[known].name)}
        onChange={next => set(known => ({ kind: next, spine: spineFor(next, known) }))}
      />
      {asksSpine && (
        <>
          <SelectField
            label="Spine"
            value={spine}
            choices={namesOf(spineShapes, known => spineWords[known])}
            onChange={next => set(() => ({ spine: next }))}
          />
          <SelectField
            label="The covers"
            value={foldsBack ? 'yes' : 'no'}
            choices={{ yes: 'fold right back', no: 'do not fold right back' }}
            onChange={answer => set(() => ({ foldsBack: answer === 'yes' }))}
          />
        </>
      )}
      {asksEdges && (
        <SelectField
          label="Its edges"
          help="Rounded edges need less cloth round them."
          value={edges}
          choices={edgeWords}
          onChange={next => set(() => ({ edges: next }))}
        />
      )}
      <SelectField
        label="Reckoned in"
        help="Its cutting grid, and what is usual."
        value={unit}
        choices={unitWords}
        onChange={(next: Unit) => change(oneStep, current => changeUnit(current, next))}
      />
    </div>
  )
})

/** How stiff each cover board is, where they differ: the stiffer goes into its flap first. */
function StiffnessFields({ thing }: { readonly thing: number }) {
  const { file, change } = useCover()
  const object: TypedObject = listThings(file)[thing] ?? { kind: 'hardcover' }
  const set = (key: 'frontStiffness' | 'backStiffness', said: Stiffness | '') =>
    change(oneStep, current =>
      changeThing(current, thing, ({ [key]: _before, ...known }) =>
        said === '' ? known : { ...known, [key]: said },
      ),
    )
  const field = (key: 'frontStiffness' | 'backStiffness', label: string) => (
    <SelectField
      label={label}
      value={object[key] ?? ''}
      choices={{ '': 'not said', ...stiffnessWords }}
      onChange={said => set(key, said)}
    />
  )
  return (
    <div className="col-span-2 grid grid-cols-2 gap-4">
      {field('frontStiffness', 'Front cover is')}
      {field('backStiffness', 'Back cover is')}
    </div>
  )
}

const stiffnessWords: Readonly<Record<Stiffness, string>> = { soft: 'soft', medium: 'medium', stiff: 'stiff' }

const edgeWords: Readonly<Record<EdgeShape, string>> = {
  square: 'square',
  eased: 'eased, as most are',
  round: 'round',
}

function isDevice({ family }: CoverFile): boolean {
  return findFamily(family)?.traits.includes('device') ?? false
}

/** The kind brings its spine, unless the maker has said another than the kind before brought. */
function spineFor(kind: ObjectKind, { kind: before, spine = 'flat' }: TypedObject): SpineShape {
  return spine === usualSpine(before) ? usualSpine(kind) : spine
}

function namesOf<Name extends string>(
  names: readonly Name[],
  words: (name: Name) => string,
): Record<Name, string> {
  return Object.fromEntries(names.map(name => [name, words(name)])) as Record<Name, string>
}
