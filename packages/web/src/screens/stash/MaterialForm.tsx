import {
  mm,
  roles,
  stashNotionKinds,
  weaves,
  type MaterialBody,
  type MaterialRow,
  type Role,
  type Stock,
  type Unit,
  type Weave,
  roleWords,
} from '@snowdrift/core'
import { ImageUp, Trash2 } from 'lucide-react'
import { useRef, useState } from 'react'
import { useDeleteMaterialMutation, usePutPictureMutation } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { deleted } from '../../app/deleted-slice'
import { useAppDispatch } from '../../app/store'
import { oneStep, type Draft } from '../../drafts/draft'
import { standingOf } from '../../drafts/kinds'
import { useDraft, useDraftChanges } from '../../drafts/use-draft'
import { Button } from '../../parts/Button'
import { ConflictNotice } from '../../parts/ConflictNotice'
import { SavingState } from '../../parts/SavingState'
import { Field, controlLook } from '../../parts/Field'
import { LengthField } from '../../parts/LengthField'
import { SelectField } from '../../parts/SelectField'
import { YesNoField } from '../../parts/YesNoField'
import { printWords } from '../../views/material-words'
import { pricedBy, shownPrice, writtenPrice } from '../../views/price-words'
import { WovenSwatch } from '../../views/Swatch'

const named = <Key extends string>(keys: readonly Key[]) =>
  Object.fromEntries(keys.map(key => [key, key.replaceAll('-', ' ')])) as Record<Key, string>

/** The properties of a material. Each change saves itself; one that was changed elsewhere too is shown beside it. */
export function MaterialForm({ row, unit }: { readonly row: MaterialRow; readonly unit: Unit }) {
  const draft = useDraft('material', row.id, standingOf('material', row))
  return draft ? <Properties row={row} draft={draft} unit={unit} /> : null
}

interface PropertiesProps {
  readonly row: MaterialRow
  readonly draft: Draft<MaterialBody>
  readonly unit: Unit
}

function Properties({ row, draft, unit }: PropertiesProps) {
  const { id } = row
  const changes = useDraftChanges('material', id)
  const { unit: written, swatch, material, stock } = draft.body
  const priced = { role: material.role, notion: stock.notion, written, unit }
  const change = (make: (body: MaterialBody) => MaterialBody) => changes.change(oneStep, make)
  const changeMaterial = (changed: Partial<MaterialBody['material']>) =>
    change(body => ({ ...body, material: { ...body.material, ...changed } }))
  const changeStock = (key: keyof Stock, value: unknown) =>
    change(body => {
      const { [key]: _before, ...rest } = body.stock
      return { ...body, stock: value === undefined || value === '' ? rest : { ...rest, [key]: value } }
    })
  return (
    <section aria-label="Properties" className="grid gap-4">
      <div className="flex items-baseline gap-3">
        <h3 className="font-semibold">Properties</h3>
        <SavingState draft={draft} label="Saving of the material" />
      </div>
      {draft.conflict && <ConflictNotice what="This material was" draft={draft} current={draft.conflict} />}
      <div className="grid items-start gap-4 sm:grid-cols-3">
        <TextField label="Name" value={material.name} onChange={name => changeMaterial({ name })} />
        <SelectField
          label="For"
          value={material.role}
          choices={Object.fromEntries(roles.map(role => [role, roleWords[role]])) as Record<Role, string>}
          onChange={role => changeMaterial({ role })}
        />
        <LengthField
          whenLeft
          thin
          label="Thickness"
          unit={unit}
          division={mm(0.05)}
          range={{ min: mm(0.01), max: mm(50) }}
          value={material.thickness}
          onChange={thickness => thickness && changeMaterial({ thickness })}
        />
        <SelectField
          label="Print"
          value={material.print ?? 'none'}
          choices={printWords}
          onChange={print => changeMaterial({ print })}
        />
        <LengthField
          whenLeft
          label="Repeat"
          help="How often the print comes again."
          unit={unit}
          division={mm(1)}
          range={{ min: mm(1), max: mm(3000) }}
          value={stock.repeat}
          onChange={repeat => changeStock('repeat', repeat)}
        />
        <LengthField
          whenLeft
          label="Usable width"
          help="Of the bolt, selvedges off."
          unit={unit}
          division={mm(5)}
          range={{ min: mm(10), max: mm(10_000) }}
          value={stock.width}
          onChange={width => changeStock('width', width)}
        />
        <AmountField
          label="Shrinks by, %"
          help="In the first wash."
          most={30}
          value={material.shrinkage ?? 0}
          onChange={shrinkage => changeMaterial({ shrinkage: shrinkage ?? 0 })}
        />
        <YesNoField
          label="Washed"
          help="It has shrunk already."
          checked={material.washed ?? false}
          onChange={washed => changeMaterial({ washed })}
        />
        <AmountField
          label="Price"
          help={`Of one ${pricedBy(material.role, stock.notion, unit)}.`}
          most={100_000}
          value={stock.price === undefined ? undefined : toCents(shownPrice(stock.price, priced))}
          onChange={price =>
            changeStock('price', price === undefined ? undefined : toCents(writtenPrice(price, priced)))
          }
        />
        <SelectField
          label="Kept as"
          value={stock.notion ?? ''}
          choices={{ '': 'something to cut from', ...named(stashNotionKinds) }}
          onChange={notion => changeStock('notion', notion)}
        />
        <SelectField
          label="Swatch"
          value={stock.weave ?? 'plain'}
          choices={named(weaves)}
          onChange={weave => changeStock('weave', weave)}
        />
        <ColourField
          value={swatch}
          weave={stock.weave ?? 'plain'}
          onChange={colour => change(body => ({ ...body, swatch: colour }))}
        />
      </div>
      <div className="flex flex-wrap gap-2">
        <PictureButton id={id} />
        <TakeOut row={row} />
      </div>
    </section>
  )
}

/** Prices are said to the hundredth. */
function toCents(price: number): number {
  return Math.round(price * 100) / 100
}

/** What is being typed, until the value that it began from changes elsewhere. */
function useTyped(given: string): readonly [string, (text: string) => void] {
  const [typed, setTyped] = useState({ text: given, given })
  return [typed.given === given ? typed.text : given, text => setTyped({ text, given })]
}

interface TextFieldProps {
  readonly label: string
  readonly value: string
  readonly onChange: (text: string) => void
}

/** Hands the text on when the field is left: a name is no name before it is finished. */
function TextField({ label, value, onChange }: TextFieldProps) {
  const [text, setText] = useTyped(value)
  const leave = () => {
    if (text.trim() && text !== value) onChange(text.trim())
    else setText(value)
  }
  return (
    <Field label={label}>
      {({ id }) => (
        <input
          id={id}
          className={controlLook}
          maxLength={120}
          value={text}
          onChange={event => setText(event.target.value)}
          onBlur={leave}
          onKeyDown={event => event.key === 'Enter' && leave()}
        />
      )}
    </Field>
  )
}

interface AmountFieldProps {
  readonly label: string
  readonly help: string
  readonly most: number
  readonly value: number | undefined
  readonly onChange: (amount: number | undefined) => void
}

/** An amount, handed on when the field is left; what is no amount changes nothing. */
function AmountField({ label, help, most, value, onChange }: AmountFieldProps) {
  const shown = value === undefined ? '' : String(value)
  const [text, setText] = useTyped(shown)
  const amount = Number(text.replace(',', '.'))
  const wrong = text !== '' && !(amount >= 0 && amount <= most)
  return (
    <Field label={label} help={wrong ? `Expected an amount from 0 to ${most}, such as 2.5.` : help}>
      {({ id, describedBy }) => (
        <input
          id={id}
          aria-describedby={describedBy}
          aria-invalid={wrong}
          inputMode="decimal"
          className={controlLook}
          value={text}
          onChange={event => setText(event.target.value)}
          onBlur={() => {
            if (!wrong && text !== shown) onChange(text === '' ? undefined : amount)
          }}
        />
      )}
    </Field>
  )
}

interface ColourFieldProps {
  readonly value: string
  readonly weave: Weave
  readonly onChange: (colour: string) => void
}

function ColourField({ value, weave, onChange }: ColourFieldProps) {
  const [colour, setColour] = useTyped(value)
  return (
    <Field label="Colour">
      {({ id }) => (
        <span className="flex items-center gap-3">
          <input
            id={id}
            type="color"
            className="h-9 w-14"
            value={colour}
            onChange={event => setColour(event.target.value)}
            onBlur={() => {
              if (colour !== value) onChange(colour)
            }}
          />
          <WovenSwatch colour={colour} weave={weave} size="size-9" />
        </span>
      )}
    </Field>
  )
}

function PictureButton({ id }: { readonly id: string }) {
  const input = useRef<HTMLInputElement>(null)
  const [put, { error, isLoading }] = usePutPictureMutation()
  return (
    <>
      <Button disabled={isLoading} onClick={() => input.current?.click()}>
        <ImageUp className="size-4" aria-hidden /> {isLoading ? 'Sending …' : 'A picture of it'}
      </Button>
      <input
        ref={input}
        type="file"
        accept="image/jpeg,image/png,image/webp"
        className="hidden"
        aria-label="Picture of the material"
        onChange={event => {
          const [picture] = event.target.files ?? []
          event.target.value = ''
          if (picture) void put({ id, picture })
        }}
      />
      {error && (
        <p role="alert" className="basis-full text-bad">
          {describeError(error)}
        </p>
      )}
    </>
  )
}

/** Takes a material off the list; it can be brought back from where every deletion can. */
function TakeOut({ row }: { readonly row: MaterialRow }) {
  const [remove, { error, isLoading }] = useDeleteMaterialMutation()
  const dispatch = useAppDispatch()
  const takeOut = async () => {
    const answer = await remove({ id: row.id, version: row.version })
    if (!answer.error) dispatch(deleted({ kind: 'material', id: row.id, name: row.material.name }))
  }
  return (
    <>
      <Button look="quiet" disabled={isLoading} onClick={() => void takeOut()}>
        <Trash2 className="size-4" aria-hidden /> Take out of the stash
      </Button>
      {error && (
        <p role="alert" className="basis-full text-bad">
          {describeError(error)}
        </p>
      )}
    </>
  )
}
