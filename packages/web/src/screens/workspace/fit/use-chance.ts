import type { CoverFile, Remedy, Simulation, WhatIfId } from '@snowdrift/core'
import { useEffect, useRef, useState } from 'react'
import { createChanceClient, type ChanceClient } from '../../../workers/chance-client'
import type { ChanceReply } from '../../../workers/chance-protocol'

/** What is known of a cover's chance; answers to an earlier file stay until the new ones are there. */
export interface Chance {
  /** Of the present file: 0–1, or done. */
  readonly progress: number | 'done' | 'stopped'
  readonly simulation?: Simulation | undefined
  readonly whatIf?: Simulation | undefined
  readonly remedies?: readonly Remedy[]
}

export interface AskedChance extends Chance {
  readonly stop: () => void
}

interface ChanceWanted {
  readonly whatIf?: readonly WhatIfId[]
  readonly remedies?: boolean
  /** How long nothing may change before it is reckoned; at once unless said. */
  readonly idleMs?: number
}

const noWhatIf: readonly WhatIfId[] = []

/** Reckons the chance of a file in a worker. A change of the file drops the old run. */
export function useChance(
  file: CoverFile,
  { whatIf = noWhatIf, remedies = false, idleMs = 0 }: ChanceWanted,
): AskedChance {
  const client = useRef<ChanceClient | null>(null)
  const [chance, setChance] = useState<Chance>({ progress: 0 })
  useEffect(() => {
    client.current ??= createChanceClient()
    const asked = client.current
    const timer = setTimeout(
      () => asked.ask({ file, whatIf, remedies }, reply => setChance(before => heard(before, reply))),
      idleMs,
    )
    return () => {
      clearTimeout(timer)
      asked.cancel()
    }
  }, [file, whatIf, remedies, idleMs])
  useEffect(
    () => () => {
      client.current?.close()
      client.current = null
    },
    [],
  )
  const stop = () => {
    client.current?.cancel()
    setChance(before => ({ ...before, progress: 'stopped' }))
  }
  return { ...chance, stop }
}

function heard(before: Chance, reply: ChanceReply): Chance {
  switch (reply.kind) {
    case 'progress':
      return { ...before, progress: Math.floor(reply.share * 50) / 50 }
    case 'chance':
      return { ...before, simulation: reply.simulation }
    case 'what-if':
      return { ...before, whatIf: reply.simulation }
    case 'remedies':
      return { ...before, remedies: reply.remedies }
    case 'done':
      return { ...before, progress: 'done' }
  }
}
