import type { CoverRow, MaterialRow, StashPieceRow, ThingRow } from '@snowdrift/core'
import { api } from './api'

/** What was deleted, brought back. */
const restoreApi = api.injectEndpoints({
  endpoints: build => ({
    restoreCover: build.mutation<CoverRow, string>({
      query: id => ({ url: `/covers/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Covers'],
    }),
    restoreThing: build.mutation<ThingRow, string>({
      query: id => ({ url: `/things/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Things'],
    }),
    restoreMaterial: build.mutation<MaterialRow, string>({
      query: id => ({ url: `/materials/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Materials', 'History'],
    }),
    restoreStashPiece: build.mutation<StashPieceRow, string>({
      query: id => ({ url: `/stash/pieces/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Stash', 'History'],
    }),
  }),
})

export const {
  useRestoreCoverMutation,
  useRestoreThingMutation,
  useRestoreMaterialMutation,
  useRestoreStashPieceMutation,
} = restoreApi
