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

interface State extends Omit<Layouts, 'stop'> {
  /** What the progress is of. */
  readonly jobs: readonly NestJob[] | undefined
}

/** Lays out the jobs in a worker; a change of any drops the run before. */
export function useLayouts(jobs: readonly NestJob[]): Layouts {
  const worker = useWorker(createNestClient)
  const [state, setState] = useState<State>({ byKey: {}, progress: 0, jobs: undefined })
  useEffect(() => {
    const asked = worker()
    asked.ask({ jobs, shopping: [] }, reply => setState(before => ({ ...heard(before, reply), jobs })))
    return () => asked.cancel()
  }, [worker, jobs])
  const stop = () => {
    worker().cancel()
    setState(before => ({ ...before, progress: 'stopped', jobs }))
  }
  // What was said of other jobs is not said of these: they have only begun.
  return { byKey: state.byKey, progress: state.jobs === jobs ? state.progress : 0, stop }
}

function heard(before: State, reply: NestReply): State {
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
