import type { Unit } from '@snowdrift/core'

interface FractionKeysProps {
  readonly unit: Unit
  readonly onType: (text: string) => void
}

const eighths = ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8']
const shown: Readonly<Record<string, string>> = {
  '1/8': '⅛',
  '1/4': '¼',
  '3/8': '⅜',
  '1/2': '½',
  '5/8': '⅝',
  '3/4': '¾',
  '7/8': '⅞',
}

/** What a phone's number keys lack: eighths, the slash for finer ones, and the other unit. */
export function FractionKeys({ unit, onType }: FractionKeysProps) {
  const keys = unit === 'in' ? [...eighths, '/', 'cm'] : ['/', 'in', ...(unit === 'mm' ? ['cm'] : ['mm'])]
  return (
    <div className="flex flex-wrap gap-1" role="group" aria-label="Fractions">
      {keys.map(key => (
        <button
          key={key}
          type="button"
          tabIndex={-1}
          className="min-h-11 min-w-11 rounded-md border border-rule bg-surface text-lg"
          // The field keeps the focus, and with it the keyboard stays up.
          onPointerDown={event => event.preventDefault()}
          onClick={() => onType(key)}
        >
          {shown[key] ?? key}
        </button>
      ))}
    </div>
  )
}
