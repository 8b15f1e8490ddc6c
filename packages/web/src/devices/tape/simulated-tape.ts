import type { Unit } from '@snowdrift/core'
import type { DigitalTape, TapeNews } from './tape'

/** What the stand-in is told to do wrong. */
export interface TapeFaults {
  /** How far the hand shakes, in millimetres to each side. */
  readonly jitterMm: number
  /** In per cent; below 5 it sends no more. */
  readonly battery: number
  /** What it is set to. */
  readonly unit: Unit
}

export interface SimulatedTape extends DigitalTape {
  readonly set: (faults: Partial<TapeFaults>) => void
  /** Lays it along something of that length and presses its button; nothing comes where it is not connected. */
  readonly press: (mm: number) => void
  /** Takes it out of reach. */
  readonly lose: () => void
}

interface Surroundings {
  /** From 0 up to 1. */
  readonly random: () => number
  readonly wait: (ms: number) => Promise<void>
}

const samples = 5
const connectMs = 600
const dead = 5
/** What one press takes of the battery. */
const percentAPress = 1

/** A tape that ships with the application, to try it and its faults without having one. */
export function createSimulatedTape({ random, wait }: Surroundings): SimulatedTape {
  const listeners = new Set<(news: TapeNews) => void>()
  let faults: TapeFaults = { jitterMm: 0.2, battery: 80, unit: 'mm' }
  let isConnected = false
  const tell = (news: TapeNews) => {
    for (const hear of listeners) hear(news)
  }
  const leave = () => {
    if (isConnected) tell({ kind: 'lost' })
    isConnected = false
  }
  return {
    name: 'Simulated tape',
    connect: async () => {
      await wait(connectMs)
      if (faults.battery < dead) throw new Error('The tape does not answer: its battery is empty.')
      isConnected = true
      tell({ kind: 'connected' })
      tell({ kind: 'battery', percent: faults.battery })
    },
    disconnect: leave,
    lose: leave,
    listen: hear => {
      listeners.add(hear)
      return () => listeners.delete(hear)
    },
    set: changes => {
      faults = { ...faults, ...changes }
      if (isConnected && changes.battery !== undefined) tell({ kind: 'battery', percent: faults.battery })
      if (faults.battery < dead) leave()
    },
    press: mm => {
      if (!isConnected) return
      const samplesMm = Array.from({ length: samples }, () => mm + (2 * random() - 1) * faults.jitterMm)
      tell({ kind: 'reading', samplesMm, unit: faults.unit })
      faults = { ...faults, battery: Math.max(0, faults.battery - percentAPress) }
      tell({ kind: 'battery', percent: faults.battery })
      if (faults.battery < dead) leave()
    },
  }
}
