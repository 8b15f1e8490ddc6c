import type {
  CutBody,
  MaterialBody,
  MaterialRow,
  Page,
  Role,
  ShopOffer,
  StashEventRow,
  StashPieceBody,
  StashPieceRow,
  TakeBody,
} from '@snowdrift/core'
import type { TableToImport } from '../parts/table-import/ImportTable'
import { api, paged, type Deleted } from './api'
import { basedOn } from './base-query'
import { matchOf, type Imported } from './imported'

/** What is done with the stash. */
const stashApi = api.injectEndpoints({
  endpoints: build => ({
    createMaterial: build.mutation<MaterialRow, MaterialBody>({
      query: body => ({ url: '/materials', method: 'POST', body }),
      invalidatesTags: ['Materials', 'History'],
    }),
    deleteMaterial: build.mutation<MaterialRow, Deleted>({
      query: ({ id, version }) => ({ url: `/materials/${id}`, method: 'DELETE', headers: basedOn(version) }),
      invalidatesTags: ['Materials', 'History'],
    }),
    history: build.infiniteQuery<Page<StashEventRow>, string, string>({
      query: ({ queryArg, pageParam }) =>
        `/materials/${queryArg}/history?limit=50${pageParam && `&after=${pageParam}`}`,
      infiniteQueryOptions: paged,
      providesTags: ['History'],
    }),
    addStashPiece: build.mutation<
      StashPieceRow,
      { readonly materialId: string; readonly body: StashPieceBody }
    >({
      query: ({ materialId, body }) => ({ url: `/materials/${materialId}/pieces`, method: 'POST', body }),
      invalidatesTags: ['Stash', 'History'],
    }),
    changeStashPiece: build.mutation<StashPieceRow, StashPieceRow>({
      query: ({ id, version, source, width, length, count, note, avoid, marks }) => ({
        url: `/stash/pieces/${id}`,
        method: 'PUT',
        headers: basedOn(version),
        body: { source, width, length, count, note, avoid, marks } satisfies StashPieceBody,
      }),
      invalidatesTags: ['Stash', 'History'],
    }),
    removeStashPiece: build.mutation<StashPieceRow, Deleted>({
      query: ({ id, version }) => ({
        url: `/stash/pieces/${id}`,
        method: 'DELETE',
        headers: basedOn(version),
      }),
      invalidatesTags: ['Stash', 'History'],
    }),
    reservePieces: build.mutation<unknown, TakeBody>({
      query: body => ({ url: '/stash/reserve', method: 'POST', body }),
      invalidatesTags: ['Stash', 'History'],
    }),
    releasePieces: build.mutation<unknown, TakeBody>({
      query: body => ({ url: '/stash/release', method: 'POST', body }),
      invalidatesTags: ['Stash', 'History'],
    }),
    cutPieces: build.mutation<unknown, CutBody>({
      query: body => ({ url: '/stash/cut', method: 'POST', body }),
      invalidatesTags: ['Stash', 'History'],
    }),
    shopOffers: build.query<{ readonly shop: string; readonly items: readonly ShopOffer[] }, Role>({
      query: role => `/shop/offers?role=${role}`,
    }),
    importStash: build.mutation<Imported, TableToImport>({
      query: ({ table, columns }) => ({
        url: '/stash.csv',
        params: matchOf(columns),
        method: 'POST',
        body: table,
      }),
      invalidatesTags: ['Materials', 'Stash', 'History'],
    }),
    putPicture: build.mutation<MaterialRow, { readonly id: string; readonly picture: File }>({
      query: ({ id, picture }) => ({ url: `/materials/${id}/picture`, method: 'PUT', body: picture }),
      invalidatesTags: ['Materials', 'History'],
    }),
  }),
})

export const {
  useCreateMaterialMutation,
  useDeleteMaterialMutation,
  useHistoryInfiniteQuery,
  useAddStashPieceMutation,
  useChangeStashPieceMutation,
  useRemoveStashPieceMutation,
  useReservePiecesMutation,
  useReleasePiecesMutation,
  useCutPiecesMutation,
  useLazyShopOffersQuery,
  useImportStashMutation,
  usePutPictureMutation,
} = stashApi
