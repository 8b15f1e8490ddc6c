import type { CuttingBody } from '@snowdrift/core'
import { useCallback, useMemo } from 'react'
import { useCuttingsQuery } from '../../../api/api'
import { oneStep, type Draft } from '../../../drafts/draft'
import { standingOf, type BodyOf, type Standing } from '../../../drafts/kinds'
import { useDraft, useDraftChanges } from '../../../drafts/use-draft'
import { cuttingOf } from '../../../views/cutting-of'

/** How a cover is cut, and how to change that. */
export interface Cutting {
  readonly draft: Draft<BodyOf<'cutting'>>
  readonly plan: CuttingBody
  readonly change: (make: (plan: CuttingBody) => CuttingBody) => void
  readonly undo: (() => void) | undefined
}

/**
 * The cutting that a cover belongs to. Where there is none yet, it is begun for the cover alone, under the cover's own
 * id: however many windows begin it, it is one.
 */
export function useCutting(coverId: string): Cutting | undefined {
  const { data: rows } = useCuttingsQuery()
  const row = cuttingOf(coverId, rows)
  const id = row?.id ?? coverId
  const begun = useMemo(() => beginCutting(coverId), [coverId])
  const standing = row ? standingOf('cutting', row) : rows && begun
  const draft = useDraft('cutting', id, standing)
  const changes = useDraftChanges('cutting', id)
  const change = useCallback<Cutting['change']>(
    make => changes.change(oneStep, ({ plan }) => ({ plan: make(plan) })),
    [changes],
  )
  if (!draft) return undefined
  const undo = draft.past.length > 0 ? changes.undo : undefined
  return { draft, plan: draft.body.plan, change, undo }
}

function beginCutting(coverId: string): Standing<BodyOf<'cutting'>> {
  return {
    version: 0,
    body: { plan: { coverIds: [coverId], cuts: 'scissors', sources: {}, pins: [], done: [] } },
  }
}
