import { Unreadable, type Outline, type Place, type Stroke } from './outline'

const unitMm = 1 / 40
/** The pens as our own files have them; another’s go by their number. */
const penLayers: Readonly<Record<string, string>> = { 1: 'cut', 2: 'fold', 3: 'stitch', 4: 'mark' }

/** Follows a plotter file: pens, strokes with absolute places. */
export function readHpgl(text: string): Outline {
  const strokes: Stroke[] = []
  const unknown = new Set<string>()
  let [pen, at, open]: [string, Place, Place[] | undefined] = ['', [0, 0], undefined]
  const lift = () => {
    if (open && open.length > 1) strokes.push({ layer: pen, places: open })
    open = undefined
  }
  for (const command of text
    .split(';')
    .map(part => part.trim())
    .filter(Boolean)) {
    const [name, rest] = [command.slice(0, 2).toUpperCase(), command.slice(2)]
    const places = placesOf(name, rest)
    switch (name) {
      case 'SP':
        lift()
        pen = penLayers[rest.trim()] ?? `pen ${rest.trim()}`
        break
      case 'PU':
        lift()
        at = places.at(-1) ?? at
        break
      case 'PD':
      case 'PA':
        if (name === 'PD') open ??= [at]
        if (open) open.push(...places)
        at = places.at(-1) ?? at
        break
      case 'IN':
        break
      default:
        unknown.add(name)
    }
  }
  lift()
  return { strokes, ignored: [...unknown].map(name => `the command ${name}`) }
}

function placesOf(name: string, rest: string): readonly Place[] {
  if (!['PU', 'PD', 'PA'].includes(name) || rest.trim() === '') return []
  const numbers = rest.split(',').map(Number)
  if (numbers.length % 2 !== 0 || numbers.some(number => !Number.isFinite(number)))
    throw new Unreadable(`Expected places in pairs behind ${name}, found “${rest.slice(0, 40)}”.`)
  return Array.from({ length: numbers.length / 2 }, (_, n): Place => [
    (numbers[2 * n] ?? 0) * unitMm,
    (numbers[2 * n + 1] ?? 0) * unitMm,
  ])
}
