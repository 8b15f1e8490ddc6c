import type { Layout } from '@snowdrift/core'
import { useEffect, useState } from 'react'
import { createNestClient } from '../../../workers/nest-client'
import type { NestJob, NestReply } from '../../../workers/nest-protocol'
import { shownShare, type Progress } from '../../../workers/progress'
import { useWorker } from '../../../workers/use-worker'

export interface Layouts {
  /** By group; an earlier one stays until the new one is there. */
  readonly byKey: Readonly<Record<string, Layout>>
  readonly progress: Progress
  readonly stop: () => void
}

/** Lays out the jobs in a worker; a change of any drops the run before. */
export function useLayouts(jobs: readonly NestJob[]): Layouts {
  const worker = useWorker(createNestClient)
  const [state, setState] = useState<Omit<Layouts, 'stop'>>({ byKey: {}, progress: 0 })
  useEffect(() => {
    const asked = worker()
    asked.ask({ jobs, shopping: [] }, reply => setState(before => heard(before, reply)))
    return () => asked.cancel()
  }, [worker, jobs])
  const stop = () => {
    worker().cancel()
    setState(before => ({ ...before, progress: 'stopped' }))
  }
  return { ...state, stop }
}

function heard(before: Omit<Layouts, 'stop'>, reply: NestReply): Omit<Layouts, 'stop'> {
  switch (reply.kind) {
    case 'progress':
      return { ...before, progress: shownShare(reply.share) }
    case 'layout':
      return { ...before, byKey: { ...before.byKey, [reply.key]: reply.layout } }
    case 'done':
      return { ...before, progress: 'done' }
    case 'purchases':
      return before
  }
}
