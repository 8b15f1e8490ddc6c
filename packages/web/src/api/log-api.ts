import type {
  CoverRow,
  Page,
  MakeBody,
  MakeRow,
  MakingRow,
  MarkRow,
  ShelfEntry,
  ShelfMark,
  ThingRow,
} from '@snowdrift/core'
import { allPages } from './all-pages'
import { api, itemsOf, type CoverAt, type Deleted, type New } from './api'
import { basedOn } from './base-query'

/** The shelf in lines, the log with its photos, dates and marks of covers, and how far covers have come. */
const logApi = api.injectEndpoints({
  endpoints: build => ({
    /** Every cover in a line. */
    shelf: build.query<readonly ShelfEntry[], void>({
      query: () => '/shelf',
      transformResponse: ({ covers }: { readonly covers: readonly ShelfEntry[] }) => covers,
      providesTags: ['Shelf', 'Covers', 'Things', 'Makings', 'Makes', 'Marks', 'Cuttings'],
    }),
    /** The covers of one board of the shelf: one question, or none where all are known. */
    coversAt: build.query<readonly CoverRow[], readonly CoverAt[]>({
      queryFn: async (covers, { getState }, _options, fetchSome) => {
        const state = getState() as Parameters<ReturnType<typeof api.endpoints.coverAt.select>>[0]
        const known = covers.flatMap(at => api.endpoints.coverAt.select(at)(state).data ?? [])
        if (known.length === covers.length) return { data: known }
        const { data, error } = await fetchSome(`/covers?ids=${covers.map(({ id }) => id).join(',')}`)
        return error ? { error } : { data: itemsOf(data as Page<CoverRow>) }
      },
    }),
    /** Everything that is measured. */
    allThings: build.query<readonly ThingRow[], void>({
      queryFn: allPages('/things', itemsOf<ThingRow>),
      providesTags: ['Things'],
    }),
    /** The log, the latest written first. */
    makes: build.query<readonly MakeRow[], void>({
      queryFn: allPages('/makes', itemsOf<MakeRow>),
      providesTags: ['Makes'],
    }),
    createMake: build.mutation<MakeRow, New<MakeBody>>({
      query: ({ id, body }) => ({ url: `/makes/${id}`, method: 'PUT', body, headers: basedOn(0) }),
      invalidatesTags: ['Makes'],
    }),
    deleteMake: build.mutation<MakeRow, Deleted>({
      query: ({ id, version }) => ({ url: `/makes/${id}`, method: 'DELETE', headers: basedOn(version) }),
      invalidatesTags: ['Makes'],
    }),
    restoreMake: build.mutation<MakeRow, string>({
      query: id => ({ url: `/makes/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Makes'],
    }),
    putPhoto: build.mutation<MakeRow, { readonly make: string; readonly id: string; readonly picture: File }>(
      {
        query: ({ make, id, picture }) => ({
          url: `/makes/${make}/photos/${id}`,
          method: 'PUT',
          body: picture,
        }),
      },
    ),
    marks: build.query<readonly MarkRow[], void>({
      queryFn: allPages('/marks', itemsOf<MarkRow>),
      providesTags: ['Marks'],
    }),
    /** Under the id of its cover; `version` 0 where there is none yet. */
    saveMark: build.mutation<
      MarkRow,
      { readonly id: string; readonly version: number; readonly mark: ShelfMark }
    >({
      query: ({ id, version, mark }) => ({
        url: `/marks/${id}`,
        method: 'PUT',
        body: { mark },
        headers: basedOn(version),
      }),
      invalidatesTags: ['Marks'],
    }),
    /** How far some covers have come; those that nobody has begun are left out. */
    progressById: build.query<Readonly<Record<string, MakingRow>>, readonly string[]>({
      queryFn: async (ids, _api, _options, fetchOne) => {
        const answers = await Promise.all(ids.map(async id => fetchOne(`/progress/${id}`)))
        const failed = answers.find(({ error }) => error && error.status !== 404)
        if (failed?.error) return { error: failed.error }
        return {
          data: Object.fromEntries(
            answers.flatMap(({ data }, index) => {
              const { making } = (data ?? { making: null }) as { readonly making: MakingRow | null }
              return making ? [[ids[index] ?? '', making]] : []
            }),
          ),
        }
      },
      providesTags: ['Makings'],
    }),
  }),
})

export const {
  useShelfQuery,
  useCoversAtQuery,
  useAllThingsQuery,
  useMakesQuery,
  useLazyMakesQuery,
  useCreateMakeMutation,
  useDeleteMakeMutation,
  useRestoreMakeMutation,
  usePutPhotoMutation,
  useMarksQuery,
  useSaveMarkMutation,
  useProgressByIdQuery,
} = logApi
