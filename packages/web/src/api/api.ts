import type {
  CoverBody,
  CoverRow,
  CuttingRow,
  MaterialRow,
  MakingRow,
  Page,
  RuleRow,
  SettingsRow,
  StashPieceRow,
  ThingBody,
  ThingRow,
  WhoIsHere,
} from '@snowdrift/core'
import { createApi } from '@reduxjs/toolkit/query/react'
import type { Pending } from '../drafts/draft'
import { idOf, kindOf, kinds, type Kind, type Ref, type RowOf } from '../drafts/kinds'
import { allPages } from './all-pages'
import { basedOn, createBaseQuery, keyHeader } from './base-query'

/** A row under the name that its maker gives it: made once, however often that is sent. */
export interface New<Body> {
  readonly id: string
  readonly body: Body
}

export interface Deleted {
  readonly id: string
  readonly version: number
}

/** So many rows are asked for by their ids at once. */
const mostIds = 100
/** Three rows of the shelf on a desk. */
const pageSize = 18
export const paged = {
  initialPageParam: '',
  getNextPageParam: (last: Page<unknown>) => last.next ?? undefined,
} as const

const addressOf = (ref: Ref) => kinds[kindOf(ref)].addressOf(idOf(ref))
export const itemsOf = <Row>({ items }: Page<Row>) => items

/** Every kind of row that the server has. */
export const rowTags = [
  'Covers',
  'Things',
  'Materials',
  'Settings',
  'Stash',
  'History',
  'Cuttings',
  'Rules',
  'Makings',
  'Makes',
  'Marks',
  'Shelf',
  'Shares',
  'Devices',
  'People',
] as const

/** A cover in one of its versions. */
export interface CoverAt {
  readonly id: string
  readonly version: number
}

/** The server's rows. What is changed on a screen goes through its draft, not from here. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: createBaseQuery(),
  tagTypes: rowTags,
  refetchOnReconnect: true,
  endpoints: build => ({
    row: build.query<RowOf<Kind>, Ref>({ query: addressOf }),
    /** Saves what is pending of a draft; only the drafts call it. */
    saveRow: build.mutation<RowOf<Kind>, Pending & { readonly ref: Ref }>({
      query: ({ ref, key, version, body }) => ({
        url: addressOf(ref),
        method: 'PUT',
        body,
        headers: { ...basedOn(version), ...keyHeader(key) },
      }),
      invalidatesTags: (row, error, { ref }) => (row && !error ? kinds[kindOf(ref)].tags : []),
    }),
    covers: build.infiniteQuery<Page<CoverRow>, void, string>({
      query: ({ pageParam }) => `/covers?limit=${pageSize}${pageParam && `&after=${pageParam}`}`,
      infiniteQueryOptions: paged,
      providesTags: ['Covers'],
      // the shelf draws them without asking for each
      onQueryStarted: async (_, { dispatch, queryFulfilled }) => {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }))
        for (const row of data?.pages.flatMap(itemsOf) ?? [])
          void dispatch(api.util.upsertQueryData('coverAt', { id: row.id, version: row.version }, row))
      },
    }),
    /** A cover in one of its versions, as the shelf draws it. */
    coverAt: build.query<CoverRow, CoverAt>({
      query: ({ id }) => `/covers/${id}`,
    }),
    cover: build.query<CoverRow, string>({ query: id => `/covers/${id}` }),
    /** Some covers by their ids; those that are not there any more are left out. */
    coversById: build.query<readonly CoverRow[], readonly string[]>({
      queryFn: async (ids, _api, _options, fetchPart) => {
        const parts = Array.from({ length: Math.ceil(ids.length / mostIds) }, (_, part) =>
          ids.slice(part * mostIds, (part + 1) * mostIds).join(','),
        )
        const answers = await Promise.all(parts.map(async part => fetchPart(`/covers?ids=${part}`)))
        const failed = answers.find(({ error }) => error)
        if (failed?.error) return { error: failed.error }
        const rows = new Map(
          answers.flatMap(({ data }) => itemsOf(data as Page<CoverRow>).map(row => [row.id, row])),
        )
        return { data: ids.flatMap(id => rows.get(id) ?? []) }
      },
      providesTags: ['Covers'],
    }),
    createCover: build.mutation<CoverRow, New<CoverBody>>({
      query: ({ id, body }) => ({ url: `/covers/${id}`, method: 'PUT', body, headers: basedOn(0) }),
      invalidatesTags: ['Covers'],
    }),
    deleteCover: build.mutation<CoverRow, Deleted>({
      query: ({ id, version }) => ({ url: `/covers/${id}`, method: 'DELETE', headers: basedOn(version) }),
      invalidatesTags: ['Covers'],
    }),
    things: build.infiniteQuery<Page<ThingRow>, void, string>({
      query: ({ pageParam }) => `/things?limit=${pageSize}${pageParam && `&after=${pageParam}`}`,
      infiniteQueryOptions: paged,
      providesTags: ['Things'],
    }),
    thing: build.query<ThingRow, string>({ query: id => `/things/${id}`, providesTags: ['Things'] }),
    createThing: build.mutation<ThingRow, New<ThingBody>>({
      query: ({ id, body }) => ({ url: `/things/${id}`, method: 'PUT', body, headers: basedOn(0) }),
      invalidatesTags: ['Things'],
    }),
    deleteThing: build.mutation<ThingRow, Deleted>({
      query: ({ id, version }) => ({ url: `/things/${id}`, method: 'DELETE', headers: basedOn(version) }),
      invalidatesTags: ['Things'],
    }),
    materials: build.query<readonly MaterialRow[], void>({
      queryFn: allPages('/materials', itemsOf<MaterialRow>),
      providesTags: ['Materials'],
    }),
    rules: build.query<readonly RuleRow[], void>({
      queryFn: allPages('/rules', itemsOf<RuleRow>),
      providesTags: ['Rules'],
    }),
    stashPieces: build.query<readonly StashPieceRow[], void>({
      queryFn: allPages('/stash/pieces', itemsOf<StashPieceRow>),
      providesTags: ['Stash'],
    }),
    cuttings: build.query<readonly CuttingRow[], void>({
      queryFn: allPages('/cuttings', itemsOf<CuttingRow>),
      providesTags: ['Cuttings'],
    }),
    /** How far a cover has come at the table, by the id of the cover; null while nobody has begun. */
    making: build.query<MakingRow | null, string>({
      query: id => `/progress/${id}`,
      transformResponse: ({ making }: { readonly making: MakingRow | null }) => making,
      providesTags: ['Makings'],
    }),
    /** Who asks: this device by its name, somebody who signed in, or whoever sits at the machine. */
    here: build.query<WhoIsHere, void>({ query: () => '/here', providesTags: ['Devices', 'People'] }),
    settings: build.query<SettingsRow, void>({ query: () => '/settings', providesTags: ['Settings'] }),
  }),
})

export const {
  useCoversInfiniteQuery,
  useCoverQuery,
  useCoverAtQuery,
  useCoversByIdQuery,
  useCreateCoverMutation,
  useDeleteCoverMutation,
  useThingsInfiniteQuery,
  useThingQuery,
  useCreateThingMutation,
  useDeleteThingMutation,
  useMaterialsQuery,
  useRulesQuery,
  useStashPiecesQuery,
  useCuttingsQuery,
  useLazySettingsQuery,
  useSettingsQuery,
  useMakingQuery,
  useHereQuery,
} = api
