import type {
  CoverBody,
  CoverRow,
  CutBody,
  CuttingBody,
  CuttingRow,
  MaterialBody,
  MaterialRow,
  Page,
  Role,
  SettingsBody,
  SettingsRow,
  ShopOffer,
  StashEventRow,
  StashPieceBody,
  StashPieceRow,
  TakeBody,
  ThingBody,
  ThingRow,
} from '@snowdrift/core'
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react'
import { allPages } from './all-pages'

interface Versioned<Body> {
  readonly id: string
  readonly version: number
  readonly body: Body
}

interface Deleted {
  readonly id: string
  readonly version: number
}

/** Three rows of the shelf on a desk. */
const pageSize = 18
const ifMatch = (version: number) => ({ 'If-Match': `"v${version}"` })
const paged = {
  initialPageParam: '',
  getNextPageParam: (last: Page<unknown>) => last.next ?? undefined,
} as const

const itemsOf = <Row>({ items }: Page<Row>) => items

/** The server's rows. Changes to a cover's file go through its draft, not from here. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api' }),
  tagTypes: ['Covers', 'Things', 'Materials', 'Settings', 'Stash', 'History', 'Cuttings'],
  refetchOnReconnect: true,
  endpoints: build => ({
    covers: build.infiniteQuery<Page<CoverRow>, void, string>({
      query: ({ pageParam }) => `/covers?limit=${pageSize}${pageParam && `&after=${pageParam}`}`,
      infiniteQueryOptions: paged,
      providesTags: ['Covers'],
    }),
    cover: build.query<CoverRow, string>({ query: id => `/covers/${id}` }),
    createCover: build.mutation<CoverRow, CoverBody>({
      query: body => ({ url: '/covers', method: 'POST', body }),
      invalidatesTags: ['Covers'],
    }),
    saveCover: build.mutation<CoverRow, Versioned<CoverBody>>({
      query: ({ id, version, body }) => ({
        url: `/covers/${id}`,
        method: 'PUT',
        body,
        headers: ifMatch(version),
      }),
      invalidatesTags: (row, error) => (row && !error ? ['Covers'] : []),
    }),
    deleteCover: build.mutation<CoverRow, Deleted>({
      query: ({ id, version }) => ({ url: `/covers/${id}`, method: 'DELETE', headers: ifMatch(version) }),
      invalidatesTags: ['Covers'],
    }),
    restoreCover: build.mutation<CoverRow, string>({
      query: id => ({ url: `/covers/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Covers'],
    }),
    things: build.infiniteQuery<Page<ThingRow>, void, string>({
      query: ({ pageParam }) => `/things?limit=${pageSize}${pageParam && `&after=${pageParam}`}`,
      infiniteQueryOptions: paged,
      providesTags: ['Things'],
    }),
    thing: build.query<ThingRow, string>({ query: id => `/things/${id}`, providesTags: ['Things'] }),
    createThing: build.mutation<ThingRow, ThingBody>({
      query: body => ({ url: '/things', method: 'POST', body }),
      invalidatesTags: ['Things'],
    }),
    saveThing: build.mutation<ThingRow, Versioned<ThingBody>>({
      query: ({ id, version, body }) => ({
        url: `/things/${id}`,
        method: 'PUT',
        body,
        headers: ifMatch(version),
      }),
      invalidatesTags: ['Things'],
    }),
    deleteThing: build.mutation<ThingRow, Deleted>({
      query: ({ id, version }) => ({ url: `/things/${id}`, method: 'DELETE', headers: ifMatch(version) }),
      invalidatesTags: ['Things'],
    }),
    restoreThing: build.mutation<ThingRow, string>({
      query: id => ({ url: `/things/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Things'],
    }),
    materials: build.query<readonly MaterialRow[], void>({
      queryFn: allPages('/materials', itemsOf<MaterialRow>),
      providesTags: ['Materials'],
    }),
    createMaterial: build.mutation<MaterialRow, MaterialBody>({
      query: body => ({ url: '/materials', method: 'POST', body }),
      invalidatesTags: ['Materials', 'History'],
    }),
    saveMaterial: build.mutation<MaterialRow, Versioned<MaterialBody>>({
      query: ({ id, version, body }) => ({
        url: `/materials/${id}`,
        method: 'PUT',
        body,
        headers: ifMatch(version),
      }),
      invalidatesTags: ['Materials', 'History'],
    }),
    deleteMaterial: build.mutation<MaterialRow, Deleted>({
      query: ({ id, version }) => ({ url: `/materials/${id}`, method: 'DELETE', headers: ifMatch(version) }),
      invalidatesTags: ['Materials', 'History'],
    }),
    restoreMaterial: build.mutation<MaterialRow, string>({
      query: id => ({ url: `/materials/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Materials', 'History'],
    }),
    putPicture: build.mutation<MaterialRow, { readonly id: string; readonly picture: File }>({
      query: ({ id, picture }) => ({ url: `/materials/${id}/picture`, method: 'PUT', body: picture }),
      invalidatesTags: ['Materials', 'History'],
    }),
    importStash: build.mutation<{ readonly added: number }, File>({
      query: table => ({ url: '/stash.csv', method: 'POST', body: table }),
      invalidatesTags: ['Materials', 'Stash', 'History'],
    }),
    history: build.infiniteQuery<Page<StashEventRow>, string, string>({
      query: ({ queryArg, pageParam }) =>
        `/materials/${queryArg}/history?limit=50${pageParam && `&after=${pageParam}`}`,
      infiniteQueryOptions: paged,
      providesTags: ['History'],
    }),
    stashPieces: build.query<readonly StashPieceRow[], void>({
      queryFn: allPages('/stash/pieces', itemsOf<StashPieceRow>),
      providesTags: ['Stash'],
    }),
    addStashPiece: build.mutation<
      StashPieceRow,
      { readonly materialId: string; readonly body: StashPieceBody }
    >({
      query: ({ materialId, body }) => ({ url: `/materials/${materialId}/pieces`, method: 'POST', body }),
      invalidatesTags: ['Stash', 'History'],
    }),
    removeStashPiece: build.mutation<StashPieceRow, Deleted>({
      query: ({ id, version }) => ({
        url: `/stash/pieces/${id}`,
        method: 'DELETE',
        headers: ifMatch(version),
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
    cuttings: build.query<readonly CuttingRow[], void>({
      queryFn: allPages('/cuttings', itemsOf<CuttingRow>),
      providesTags: ['Cuttings'],
    }),
    createCutting: build.mutation<CuttingRow, CuttingBody>({
      query: plan => ({ url: '/cuttings', method: 'POST', body: { plan } }),
      invalidatesTags: ['Cuttings'],
    }),
    saveCutting: build.mutation<CuttingRow, Versioned<CuttingBody>>({
      query: ({ id, version, body }) => ({
        url: `/cuttings/${id}`,
        method: 'PUT',
        body: { plan: body },
        headers: ifMatch(version),
      }),
      invalidatesTags: ['Cuttings'],
    }),
    shopOffers: build.query<{ readonly shop: string; readonly items: readonly ShopOffer[] }, Role>({
      query: role => `/shop/offers?role=${role}`,
    }),
    settings: build.query<SettingsRow, void>({ query: () => '/settings', providesTags: ['Settings'] }),
    saveSettings: build.mutation<SettingsRow, { version: number; body: SettingsBody }>({
      query: ({ version, body }) => ({ url: '/settings', method: 'PUT', body, headers: ifMatch(version) }),
      invalidatesTags: ['Settings'],
    }),
  }),
})

export const {
  useCoversInfiniteQuery,
  useCoverQuery,
  useCreateCoverMutation,
  useDeleteCoverMutation,
  useRestoreCoverMutation,
  useThingsInfiniteQuery,
  useThingQuery,
  useCreateThingMutation,
  useSaveThingMutation,
  useDeleteThingMutation,
  useRestoreThingMutation,
  useMaterialsQuery,
  useCreateMaterialMutation,
  useSaveMaterialMutation,
  useDeleteMaterialMutation,
  useRestoreMaterialMutation,
  usePutPictureMutation,
  useImportStashMutation,
  useHistoryInfiniteQuery,
  useStashPiecesQuery,
  useAddStashPieceMutation,
  useRemoveStashPieceMutation,
  useReservePiecesMutation,
  useReleasePiecesMutation,
  useCutPiecesMutation,
  useCuttingsQuery,
  useCreateCuttingMutation,
  useSaveCuttingMutation,
  useLazyShopOffersQuery,
  useSettingsQuery,
  useSaveSettingsMutation,
} = api
