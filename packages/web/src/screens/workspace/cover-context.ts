import {
  defaultTapeDivision,
  type CoverBody,
  type CoverFile,
  type Finding,
  type Length,
  type Subject,
  type Unit,
} from '@snowdrift/core'
import { createContext, useContext } from 'react'
import type { Draft } from '../../drafts/draft'
import type { DraftChanges } from '../../drafts/use-draft'
import type { Planned } from '../../views/planned'
import type { HeldPlan } from './use-held-plan'
import type { FollowingThing } from './use-thing-follows'

/** The cover in hand, what it comes to, and how to change it. */
export interface CoverInHand {
  readonly id: string
  readonly draft: Draft<CoverBody>
  readonly file: CoverFile
  readonly planned: Planned
  /** What the pictures show: the plan, or for a moment the one before. */
  readonly shown: HeldPlan
  /** What the workshop measures in: what is shown, and what a bare number means. */
  readonly unit: Unit
  /** The thing that it is for; it has the cover's readings as long as the two agree. */
  readonly thing: FollowingThing
  /** The finest mark of the tape. */
  readonly division: Length
  /** Changes the file. Changes under one `key` in quick succession are undone together. */
  readonly change: (key: string, make: (file: CoverFile) => CoverFile) => void
  readonly putBack: DraftChanges<CoverBody>['putBack']
}

export const CoverContext = createContext<CoverInHand | undefined>(undefined)

export function useCover(): CoverInHand {
  const cover = useContext(CoverContext)
  if (!cover) throw new Error('No cover in hand: a station stands outside its workspace')
  return cover
}

/** The finest mark of the tape: as the cover says it, where it is in the unit that is shown. */
export function divisionOf({ cover }: Planned, unit: Unit): Length {
  const isOther = cover !== undefined && (cover.unit === 'in') !== (unit === 'in')
  return (isOther ? undefined : cover?.object.tapeDivision) ?? defaultTapeDivision(unit)
}

/** The findings about a subject, or about any of several. */
export function findingsAbout({ findings }: Planned, ...subjects: readonly Subject[]): readonly Finding[] {
  return findings.filter(({ about }) => subjects.includes(about))
}
