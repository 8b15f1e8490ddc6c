import type { CuttingBody, CuttingRow } from '@snowdrift/core'
import { useCallback, useEffect, useRef, useState } from 'react'
import { useCreateCuttingMutation, useCuttingsQuery, useSaveCuttingMutation } from '../../../api/api'
import { describeError } from '../../../api/describe-error'

/** How a cover is cut, how to change that, and how its saving stands. */
export interface Cutting {
  readonly plan: CuttingBody
  readonly change: (make: (plan: CuttingBody) => CuttingBody) => void
  readonly undo: (() => void) | undefined
  readonly saving: string
}

const restMs = 200
const mostUndone = 100

/** The cutting that a cover belongs to; begun for it alone with the first change. Saves itself once changes rest. */
export function useCutting(coverId: string): Cutting | undefined {
  const { data: rows, refetch } = useCuttingsQuery()
  const [create] = useCreateCuttingMutation()
  const [save] = useSaveCuttingMutation()
  const [local, setLocal] = useState<CuttingBody>()
  const [past, setPast] = useState<readonly CuttingBody[]>([])
  const [saving, setSaving] = useState('')
  const row = rows?.find(({ plan }) => plan.coverIds.includes(coverId))
  const stored = useRef<CuttingRow | undefined>(undefined)
  useEffect(() => {
    if (row && (stored.current?.id !== row.id || row.version > stored.current.version)) stored.current = row
  }, [row])

  // What rests is sent; what has not rested when the station is left is sent then.
  const waiting = useRef<(() => void) | undefined>(undefined)
  useEffect(() => {
    if (!local) return
    const send = () => {
      waiting.current = undefined
      const { current } = stored
      const sent = current ? save({ id: current.id, version: current.version, body: local }) : create(local)
      void sent.then(({ data, error }) => {
        if (data) stored.current = data
        if (error && 'status' in error && error.status === 412) {
          setLocal(undefined)
          setPast([])
          void refetch()
          setSaving('Changed in another window; that one is shown now.')
        } else setSaving(error ? describeError(error) : 'Saved')
      })
    }
    waiting.current = send
    const timer = setTimeout(send, restMs)
    return () => clearTimeout(timer)
  }, [local, save, create, refetch])
  useEffect(() => () => waiting.current?.(), [])

  const plan = local ?? row?.plan ?? beginCutting(coverId)
  const change = useCallback<Cutting['change']>(
    make => {
      setPast(before => [...before, plan].slice(-mostUndone))
      setLocal(make(plan))
      setSaving('Saving …')
    },
    [plan],
  )
  if (!rows) return undefined
  const last = past.at(-1)
  const undo = () => {
    setPast(before => before.slice(0, -1))
    if (last) setLocal(last)
    setSaving('Saving …')
  }
  return { plan, change, undo: last && undo, saving }
}

function beginCutting(coverId: string): CuttingBody {
  return { coverIds: [coverId], cuts: 'scissors', sources: {}, pins: [], done: [] }
}
