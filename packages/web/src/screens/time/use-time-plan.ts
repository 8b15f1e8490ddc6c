import {
  handsOf,
  parseExceptions,
  parseMoment,
  parseWeeklyHours,
  sessionsFrom,
  type CoverRow,
  type Schedule,
  type SettingsBody,
  type ShelfMark,
  type WorkSession,
} from '@snowdrift/core'
import { useEffect, useMemo, useState } from 'react'
import { useCoversByIdQuery, useSettingsQuery } from '../../api/api'
import { useProgressByIdQuery } from '../../api/log-api'
import { usePace } from '../../views/use-learnt'
import { endOfDay, momentOf } from '../../views/own-clock'
import { shownShare, type Progress } from '../../workers/progress'
import { createScheduleClient } from '../../workers/schedule-client'
import type { CoverToMake, Otherwise, ScheduleReply, StepsOfCover } from '../../workers/schedule-protocol'
import { useWorker } from '../../workers/use-worker'

/** So far ahead sessions are laid out; what is not done by then finds no place. */
const daysAhead = 120
/** With what is reckoned around it, a plan is there within three tenths of a second. */
const budgetMs = 200

export interface TimePlan {
  readonly covers: readonly CoverRow[]
  /** When the screen was opened: sessions are laid out from then. */
  readonly from: number
  readonly sessions: readonly WorkSession[]
  readonly steps: Readonly<Record<string, StepsOfCover>>
  readonly notPlanned: readonly string[]
  readonly schedule?: Schedule
  /** What other plans come to, by their key. */
  readonly otherwise: Readonly<Record<string, Schedule>>
  readonly progress: Progress
  readonly stop: () => void
}

interface Answer {
  readonly steps: TimePlan['steps']
  readonly notPlanned: readonly string[]
  readonly schedule?: Schedule
  readonly otherwise: TimePlan['otherwise']
  readonly progress: Progress
}

const noAnswer: Answer = { steps: {}, notPlanned: [], otherwise: {}, progress: 0 }

interface Wanted {
  readonly ids: readonly string[]
  readonly markOf: (cover: string) => ShelfMark
  /** What else is asked, once the covers are known. */
  readonly otherwiseOf: (
    covers: readonly CoverToMake[],
    sessions: readonly WorkSession[],
    from: number,
  ) => readonly Otherwise[]
}

/** The plan of time of some covers, found in a worker; undefined while they are fetched. */
export function useTimePlan({ ids, markOf, otherwiseOf }: Wanted): TimePlan | undefined {
  const { data: rows } = useCoversByIdQuery(ids, { refetchOnMountOrArgChange: true })
  const { data: makings } = useProgressByIdQuery(ids, { refetchOnMountOrArgChange: true })
  const { data: settings } = useSettingsQuery()
  const pace = usePace()
  // sessions are laid out from when the screen was opened: a plan that moves with every minute is none
  const [from] = useState(() => momentOf(new Date()))
  const sessions = useMemo(() => (settings ? sessionsOf(settings, from) : undefined), [settings, from])
  const covers = useMemo(
    () =>
      rows && makings
        ? rows.map(({ id, file }): CoverToMake => {
            const { due, copies, notBefore } = markOf(id)
            const dueAt = due === null ? undefined : endOfDay(due)
            return {
              id,
              file,
              copies,
              ...(dueAt !== undefined && { due: dueAt }),
              done: Object.entries(makings[id]?.progress.steps ?? {}).flatMap(([step, { state }]) =>
                state === 'done' ? [step] : [],
              ),
              notBefore: Object.fromEntries(
                Object.entries(notBefore).flatMap(([step, text]) => {
                  const read = parseMoment(text)
                  return read ? [[step, read.moment]] : []
                }),
              ),
            }
          })
        : undefined,
    [rows, makings, markOf],
  )
  const hands = useMemo(() => settings && handsOf(settings, {}, pace), [settings, pace])
  const otherwise = useMemo(
    () => (covers && sessions ? otherwiseOf(covers, sessions, from) : undefined),
    [covers, sessions, from, otherwiseOf],
  )
  const worker = useWorker(createScheduleClient)
  const [answer, setAnswer] = useState<Answer>(noAnswer)
  useEffect(() => {
    if (!covers || !sessions || !hands || !otherwise) return
    const asked = worker()
    asked.ask({ covers, sessions, hands, seed: 1, budgetMs, otherwise }, reply =>
      setAnswer(before => heard(before, reply)),
    )
    return () => asked.cancel()
  }, [worker, covers, sessions, hands, otherwise])
  if (!rows || !sessions) return undefined
  const stop = () => {
    worker().cancel()
    setAnswer(before => ({ ...before, progress: 'stopped' }))
  }
  return { covers: rows, from, sessions, ...answer, stop }
}

function heard(before: Answer, reply: ScheduleReply): Answer {
  switch (reply.kind) {
    case 'steps':
      return { ...before, steps: reply.steps, notPlanned: reply.notPlanned, otherwise: {}, progress: 0 }
    case 'schedule':
      return { ...before, schedule: reply.schedule, progress: shownShare(reply.share) }
    case 'otherwise':
      return { ...before, otherwise: { ...before.otherwise, [reply.key]: reply.schedule } }
    case 'done':
      return { ...before, progress: 'done' }
  }
}

function sessionsOf(settings: SettingsBody, from: number): readonly WorkSession[] {
  const weekly = parseWeeklyHours(settings.sessions)
  const exceptions = parseExceptions(settings.exceptions)
  return sessionsFrom(weekly.ok ? weekly.value : [], exceptions.ok ? exceptions.value : [], {
    from,
    days: daysAhead,
  })
}
