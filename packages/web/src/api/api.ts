import type {
  CoverBody,
  CoverRow,
  MaterialRow,
  Page,
  SettingsBody,
  SettingsRow,
  ThingBody,
  ThingRow,
} from '@snowdrift/core'
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react'

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

/** The server's rows. Changes to a cover's file go through its draft, not from here. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api' }),
  tagTypes: ['Covers', 'Things', 'Materials', 'Settings'],
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
      query: () => '/materials?limit=100',
      transformResponse: (page: Page<MaterialRow>) => page.items,
      providesTags: ['Materials'],
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
  useSettingsQuery,
  useSaveSettingsMutation,
} = api
