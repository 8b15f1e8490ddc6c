import {
  defaultInset,
  mm,
  namePiece,
  pressedThickness,
  readLength,
  sayThickness,
  type MaterialRow,
  type Role,
  type TypedLayer,
  type TypedMaterial,
  type Unit,
  roleWords,
} from '@snowdrift/core'
import { ArrowDown, X } from 'lucide-react'
import { useState } from 'react'
import { CheckField } from '../../../parts/CheckField'
import { IconButton } from '../../../parts/IconButton'
import { controlLook, Field } from '../../../parts/Field'
import { FindingNote } from '../../../parts/FindingNote'
import { LengthField } from '../../../parts/LengthField'
import { PercentField } from '../../../parts/PercentField'
import { SelectField } from '../../../parts/SelectField'
import { printWords } from '../../../views/material-words'
import { withEffect } from '../../../parts/with-effect'
import { findingsAbout, useCover } from '../cover-context'
import { useEffects } from '../use-effects'
import { choicesFor } from './layer-from'

interface LayerEditorProps {
  readonly layer: TypedLayer
  readonly materials: readonly MaterialRow[]
  /** Nothing is cut from it in this way of making. */
  readonly isUnused: boolean
  readonly onChange: (field: string, layer: TypedLayer) => void
  readonly onRemove: (() => void) | undefined
  readonly onMoveOut: (() => void) | undefined
}

/** One layer: its material, how thick it is, where it ends. */
export function LayerEditor({ layer, materials, isUnused, onChange, onRemove, onMoveOut }: LayerEditorProps) {
  const { planned, unit, division } = useCover()
  const { role } = layer
  const name = roleWords[role]
  const set = (changes: Partial<TypedLayer>) =>
    onChange(Object.keys(changes).join(), { ...layer, ...changes })
  const hasInset = role === 'interfacing' || role === 'padding'
  return (
    <li className="grid gap-4 rounded-md border border-rule bg-surface p-3" data-layer={role}>
      <div className="flex items-center gap-1">
        <h3 className="flex-1 text-lg font-semibold">{name}</h3>
        {onMoveOut && (
          <IconButton icon={ArrowDown} label={`Move ${name.toLowerCase()} outwards`} onClick={onMoveOut} />
        )}
        {onRemove && <IconButton icon={X} label={`Take out: ${name.toLowerCase()}`} onClick={onRemove} />}
      </div>
      {isUnused && (
        <p className="text-sm text-caution">
          No piece is cut from it in this way of making; it only counts in the bulk.
        </p>
      )}
      <MaterialChoice layer={layer} materials={materials} onChoose={next => onChange('material', next)} />
      <div className="flex flex-wrap gap-x-6 gap-y-4">
        <LengthField
          label="Thickness"
          unit={unit}
          value={layer.thickness}
          thin
          help={pressedWords(layer, unit)}
          division={mm(0.05)}
          range={{ min: mm(0.01), max: mm(50) }}
          onChange={typed => typed !== undefined && set({ thickness: typed })}
        />
        {hasInset && (
          <LengthField
            label="Ends inside the edge by"
            unit={unit}
            value={layer.inset}
            fallback={defaultInset(role, unit)}
            division={division}
            range={{ min: mm(0), max: mm(150) }}
            onChange={typed => onChange('inset', withoutKey(layer, 'inset', typed))}
          />
        )}
      </div>
      <details>
        <summary className="text-soft">More about this material</summary>
        <div className="mt-3 grid grid-cols-2 gap-4">
          <PercentField
            label="Squash"
            value={shareToPercent(layer.squash ?? 0)}
            onChange={percent => set({ squash: percentToShare(percent) })}
          />
          <PercentField
            label="Take-up when quilted"
            most={30}
            value={layer.takeUp ?? 0}
            onChange={takeUp => set({ takeUp })}
          />
          <PercentField
            label="Stretch along"
            value={layer.stretchAlong ?? 0}
            onChange={stretchAlong => set({ stretchAlong })}
          />
          <PercentField
            label="Stretch across"
            value={layer.stretchAcross ?? 0}
            onChange={stretchAcross => set({ stretchAcross })}
          />
          <SelectField
            label="Print"
            value={layer.print ?? 'none'}
            choices={printWords}
            onChange={print => set({ print })}
          />
          {role !== 'lining' && (
            <div className="self-end pb-2">
              <CheckField
                label="Quilted, cut oversize and trimmed"
                checked={layer.quilted ?? false}
                onChange={quilted => set({ quilted })}
              />
            </div>
          )}
          {hasInset && (
            <div className="self-end pb-2">
              <CheckField
                label="Fused: what it lies behind gives no more"
                checked={layer.fused ?? role === 'interfacing'}
                onChange={fused => set({ fused })}
              />
            </div>
          )}
        </div>
      </details>
      {hasInset && <LiesBehind layer={layer} onChange={backs => set({ backs })} />}
      {findingsAbout(planned, `layer:${role}`).map(finding => (
        <FindingNote key={finding.code} finding={finding} unit={unit} />
      ))}
    </li>
  )
}

/** What the stack counts of a layer that gives way: the pictures show it pressed. */
function pressedWords({ role, thickness, squash = 0 }: TypedLayer, unit: Unit): string | undefined {
  const read = readLength(thickness, unit, { min: mm(0.01), max: mm(50) })
  if (role === 'outer' || !(squash > 0) || !read.ok) return undefined
  return `As it lies; pressed lightly it counts as ${sayThickness(pressedThickness({ thickness: read.length, squash }))} thick.`
}

interface MaterialChoiceProps {
  readonly layer: TypedLayer
  readonly materials: readonly MaterialRow[]
  readonly onChoose: (layer: TypedLayer) => void
}

function MaterialChoice({ layer, materials, onChoose }: MaterialChoiceProps) {
  const { unit } = useCover()
  const effects = useEffects()
  const [isLooking, setLooking] = useState(false)
  const look = () => setLooking(true)
  const { name = '', role, inset, quilted, backs } = layer
  const { own, typical } = choicesFor(role, materials, unit)
  const known = [...own, ...typical]
  const layerOf = (material: TypedMaterial): TypedLayer => ({
    ...material,
    ...(inset !== undefined && { inset }),
    ...(quilted !== undefined && { quilted }),
    ...(backs !== undefined && { backs }),
  })
  const choose = (next: string) => {
    const material = known.find(candidate => candidate.name === next)
    if (material) onChoose(layerOf(material))
  }
  const effectOf = (material: TypedMaterial) =>
    isLooking && material.name !== name
      ? effects(file => ({
          ...file,
          layers: file.layers.map(other => (other.role === role ? layerOf(material) : other)),
        }))
      : undefined
  return (
    <Field label="Material">
      {({ id }) => (
        <select
          id={id}
          className={controlLook}
          value={name}
          onFocus={look}
          onBlur={() => setLooking(false)}
          onPointerDown={look}
          onChange={event => choose(event.target.value)}
        >
          {!known.some(material => material.name === name) && (
            <option value={name}>{name || 'not named'}</option>
          )}
          <MaterialGroup label="In the workshop" materials={own} effectOf={effectOf} />
          <MaterialGroup label="Typical" materials={typical} effectOf={effectOf} />
        </select>
      )}
    </Field>
  )
}

interface MaterialGroupProps {
  readonly label: string
  readonly materials: readonly TypedMaterial[]
  readonly effectOf: (material: TypedMaterial) => string | undefined
}

function MaterialGroup({ label, materials, effectOf }: MaterialGroupProps) {
  if (materials.length === 0) return null
  return (
    <optgroup label={label}>
      {materials.map(material => (
        <option key={material.name} value={material.name}>
          {withEffect(material.name, effectOf(material))}
        </option>
      ))}
    </optgroup>
  )
}

/** The panels that it lies behind; each is cut, counted and bought by itself. */
function LiesBehind({
  layer,
  onChange,
}: {
  readonly layer: TypedLayer
  readonly onChange: (backs: string[]) => void
}) {
  const { planned } = useCover()
  const backs = layer.backs ?? ['outer']
  const pieces = planned.plan?.pieces.flatMap(({ id, role }) => (cloth.has(role) ? [id] : [])) ?? []
  const choices = [...new Set(['outer', ...pieces, ...backs])]
  const toggle = (piece: string, isBacked: boolean) => {
    const next = choices.filter(id => (id === piece ? isBacked : backs.includes(id)))
    if (next.length > 0) onChange(next)
  }
  return (
    <details>
      <summary className="text-soft">Lies behind: {backs.map(namePiece).join(', ')}</summary>
      <fieldset className="mt-2 grid gap-1 sm:grid-cols-2">
        <legend className="sr-only">{roleWords[layer.role]} lies behind</legend>
        {choices.map(piece => (
          <CheckField
            key={piece}
            label={namePiece(piece)}
            checked={backs.includes(piece)}
            onChange={isBacked => toggle(piece, isBacked)}
          />
        ))}
      </fieldset>
    </details>
  )
}

const cloth: ReadonlySet<Role> = new Set(['outer', 'lining', 'trim'])

/** Of a share that was typed as nobody can read it, the text. */
function shareToPercent(share: number): number {
  return typeof share === 'number' ? share * 100 : share
}

function percentToShare(percent: number): number {
  return typeof percent === 'number' ? percent / 100 : percent
}

function withoutKey(layer: TypedLayer, key: 'inset', value: string | undefined): TypedLayer {
  const { [key]: _before, ...others } = layer
  return value === undefined ? others : { ...others, [key]: value }
}
