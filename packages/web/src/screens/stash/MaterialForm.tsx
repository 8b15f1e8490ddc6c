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
  roleWords,
} from '@snowdrift/core'
import { oneStep, type Draft } from '../../drafts/draft'
import { standingOf } from '../../drafts/kinds'
import { useDraft, useDraftChanges } from '../../drafts/use-draft'
import { AmountField } from '../../parts/AmountField'
import { ConflictNotice } from '../../parts/ConflictNotice'
import { SavingState } from '../../parts/SavingState'
import { LengthField } from '../../parts/LengthField'
import { SelectField } from '../../parts/SelectField'
import { TextField } from '../../parts/TextField'
import { YesNoField } from '../../parts/YesNoField'
import { usualRepeatMm } from '../../views/cloth/look'
import { printWords } from '../../views/material-words'
import { pricedBy, shownPrice, toCents, writtenPrice } from '../../views/price-words'
import { ColourField } from './ColourField'
import { PictureButton } from './PictureButton'
import { PictureScale } from './PictureScale'
import { TakeOut } from './TakeOut'
import { withStock } from './with-stock'

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
  const changeStock = (key: keyof Stock, value: unknown) => change(body => withStock(body, key, value))
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
          label="Repeat along"
          help="How often the print comes again along the cloth."
          fallback={mm(usualRepeatMm[stock.weave ?? 'plain'])}
          unit={unit}
          division={mm(1)}
          range={{ min: mm(1), max: mm(3000) }}
          value={stock.repeat}
          onChange={repeat => changeStock('repeat', repeat)}
        />
        <LengthField
          whenLeft
          label="Repeat across"
          help="As along, unless it is another."
          unit={unit}
          division={mm(1)}
          range={{ min: mm(1), max: mm(3000) }}
          value={stock.repeatAcross}
          onChange={repeat => changeStock('repeatAcross', repeat)}
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
        <YesNoField
          label="Fused"
          help="Ironed on: the cloth it lies behind gives no more."
          checked={material.fused ?? material.role === 'interfacing'}
          onChange={fused => changeMaterial({ fused })}
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
        {row.picture > 0 && stock.notion === undefined && (
          <PictureScale row={row} stock={stock} unit={unit} onChange={photo => changeStock('photo', photo)} />
        )}
        <TakeOut row={row} />
      </div>
    </section>
  )
}
