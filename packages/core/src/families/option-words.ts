import { ofTicks, type Length } from '../length/length.js'
import type { OptionField } from './option-fields.js'

type Fields = readonly (readonly [string, OptionField])[]

/** What an option is called within a sentence: “flap depth”. One that has no field is said by its key. */
export function nameOption(fields: Fields, key: string): string {
  const label = fieldOf(fields, key)?.label
  if (label !== undefined) return label.charAt(0).toLowerCase() + label.slice(1)
  return key.replace(/[A-Z]/g, letter => ` ${letter.toLowerCase()}`)
}

/** An option's value: a length stays one; of a choice its words, of what is there or not yes or no. */
export function wordOption(fields: Fields, key: string, value: unknown): Length | string {
  const field = fieldOf(fields, key)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number') return field?.field === 'count' ? String(value) : ofTicks(value)
  const text = String(value)
  if (field?.field === 'choice') return field.choices[text] ?? text
  return field?.field === 'length' ? (field.named?.[text] ?? text) : text
}

function fieldOf(fields: Fields, key: string): OptionField | undefined {
  return fields.find(([name]) => name === key)?.[1]
}
