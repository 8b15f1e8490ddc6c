import { useCallback, useEffect, useRef } from 'react'
import type { WorkerClient } from './worker-client'

/** A worker for as long as a component lives: started when it is first asked, closed when the component goes. */
export function useWorker<Request, Reply>(
  start: () => WorkerClient<Request, Reply>,
): () => WorkerClient<Request, Reply> {
  const client = useRef<WorkerClient<Request, Reply> | null>(null)
  useEffect(
    () => () => {
      client.current?.close()
      client.current = null
    },
    [],
  )
  return useCallback(() => (client.current ??= start()), [start])
}
