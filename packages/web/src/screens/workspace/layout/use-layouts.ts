import type { Layout } from '@snowdrift/core'
import { useEffect, useRef, useState } from 'react'
import { createNestClient, type NestClient } from '../../../workers/nest-client'
import type { NestJob, NestReply } from '../../../workers/nest-protocol'

export interface Layouts {
  /** By group; an earlier one stays until the new one is there. */
  readonly byKey: Readonly<Record<string, Layout>>
  readonly progress: number | 'done' | 'stopped'
  readonly stop: () => void
}

/** Lays out the jobs in a worker; a change of any drops the run before. */
export function useLayouts(jobs: readonly NestJob[]): Layouts {
  const client = useRef<NestClient | null>(null)
  const [state, setState] = useState<Omit<Layouts, 'stop'>>({ byKey: {}, progress: 0 })
  useEffect(() => {
    client.current ??= createNestClient()
    const asked = client.current
    asked.ask({ jobs, shopping: [] }, reply => setState(before => heard(before, reply)))
    return () => asked.cancel()
  }, [jobs])
  useEffect(
    () => () => {
      client.current?.close()
      client.current = null
    },
    [],
  )
  const stop = () => {
    client.current?.cancel()
    setState(before => ({ ...before, progress: 'stopped' }))
  }
  return { ...state, stop }
}

function heard(before: Omit<Layouts, 'stop'>, reply: NestReply): Omit<Layouts, 'stop'> {
  switch (reply.kind) {
    case 'progress':
      return { ...before, progress: Math.floor(reply.share * 50) / 50 }
    case 'layout':
      return { ...before, byKey: { ...before.byKey, [reply.key]: reply.layout } }
    case 'done':
      return { ...before, progress: 'done' }
    case 'purchases':
      return before
  }
}
