import type { CoverFile, ThingRow } from '@snowdrift/core'
import { useEffect, useState } from 'react'
import { createSeriesClient } from '../../workers/series-client'
import type { SeriesReply } from '../../workers/series-protocol'
import { useWorker } from '../../workers/use-worker'

export type SeriesOfFamily = Extract<SeriesReply, { kind: 'series' }>

export interface AskedSeries {
  readonly found: readonly SeriesOfFamily[]
  readonly isDone: boolean
}

/** The fewest covers for some things by each way of making, found in a worker. */
export function useSeries(
  file: CoverFile | undefined,
  things: readonly ThingRow[],
  families: readonly string[],
): AskedSeries {
  const worker = useWorker(createSeriesClient)
  const [asked, setAsked] = useState<AskedSeries>({ found: [], isDone: false })
  useEffect(() => {
    if (!file || things.length === 0) return
    const client = worker()
    let found: readonly SeriesOfFamily[] = []
    client.ask({ file, things, families }, reply => {
      if (reply.kind === 'series') found = [...found, reply]
      setAsked({ found, isDone: reply.kind === 'done' })
    })
    return () => client.cancel()
  }, [worker, file, things, families])
  return asked
}
