import { formatLength, mm, type Unit } from '@snowdrift/core'
import { useEffect, useState } from 'react'
import { unitWords } from '../../views/unit-words'
import { landReading } from './land'
import { settleSamples } from './settle'
import type { DigitalTape, TapeNews } from './tape'

export interface TapeState {
  readonly isConnected: boolean
  readonly battery: number | undefined
  /** What it said last, in a sentence. */
  readonly said: string
  readonly tone: 'good' | 'bad' | 'soft'
}

const low = 15

/** Listens to a tape: its readings land where the cursor is, in the workshop’s unit. */
export function useTape(tape: DigitalTape, unit: Unit): TapeState {
  const [state, setState] = useState<TapeState>({
    isConnected: false,
    battery: undefined,
    said: '',
    tone: 'soft',
  })
  useEffect(
    () => tape.listen(news => setState(before => ({ ...before, ...after(news, unit) }))),
    [tape, unit],
  )
  return state
}

function after(news: TapeNews, unit: Unit): Partial<TapeState> {
  switch (news.kind) {
    case 'connected':
      return { isConnected: true, said: 'Connected. Put the cursor where the reading goes.', tone: 'soft' }
    case 'lost':
      return {
        isConnected: false,
        said: 'The tape is out of reach. What was read is kept; connect it again.',
        tone: 'bad',
      }
    case 'battery':
      return news.percent < low
        ? {
            battery: news.percent,
            said: `The tape’s battery is at ${news.percent} %. Charge it soon.`,
            tone: 'bad',
          }
        : { battery: news.percent }
    case 'reading':
      return afterReading(news, unit)
  }
}

function afterReading(
  { samplesMm, unit: setTo }: Extract<TapeNews, { kind: 'reading' }>,
  unit: Unit,
): Partial<TapeState> {
  const settled = settleSamples(samplesMm)
  if (settled.kind === 'nothing') return { said: 'The tape sent no length. Lay it on again.', tone: 'bad' }
  if (settled.kind === 'moved')
    return {
      said: `The tape moved by ${formatLength(mm(settled.spreadMm), unit, { finest: 32 })} while it was read. Hold it still and press again.`,
      tone: 'bad',
    }
  const text = formatLength(mm(settled.mm), unit)
  if (!landReading(text))
    return { said: `It reads ${text}. Put the cursor in a measurement first.`, tone: 'bad' }
  const turned =
    setTo === unit ? '' : ` The tape is set to ${unitWords[setTo]}; that was turned into ${unitWords[unit]}.`
  return { said: `Read ${text}.${turned}`, tone: 'good' }
}
