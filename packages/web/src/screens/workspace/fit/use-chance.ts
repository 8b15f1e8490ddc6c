import type { CoverFile, Remedy, Simulation, WhatIfId } from '@snowdrift/core'
import { useEffect, useState } from 'react'
import { createChanceClient } from '../../../workers/chance-client'
import type { ChanceReply } from '../../../workers/chance-protocol'
import { shownShare, type Progress } from '../../../workers/progress'
import { useWorker } from '../../../workers/use-worker'

/** What is known of a cover's chance; answers to an earlier file stay until the new ones are there. */
export interface Chance {
  /** With the present file. */
  readonly progress: Progress
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
  const worker = useWorker(createChanceClient)
  const [chance, setChance] = useState<Chance>({ progress: 0 })
  useEffect(() => {
    const asked = worker()
    const timer = setTimeout(
      () => asked.ask({ file, whatIf, remedies }, reply => setChance(before => heard(before, reply))),
      idleMs,
    )
    return () => {
      clearTimeout(timer)
      asked.cancel()
    }
  }, [worker, file, whatIf, remedies, idleMs])
  const stop = () => {
    worker().cancel()
    setChance(before => ({ ...before, progress: 'stopped' }))
  }
  return { ...chance, stop }
}

function heard(before: Chance, reply: ChanceReply): Chance {
  switch (reply.kind) {
    case 'progress':
      return { ...before, progress: shownShare(reply.share) }
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
