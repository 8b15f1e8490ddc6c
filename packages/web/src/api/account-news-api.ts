import type { AccountEvent } from '@snowdrift/core'
import { api } from './api'

/** What became of one’s account, and that it was read here. */
const accountNewsApi = api.injectEndpoints({
  endpoints: build => ({
    accountNews: build.query<readonly AccountEvent[], void>({
      query: () => '/account/news',
      transformResponse: ({ events }: { readonly events: readonly AccountEvent[] }) => events,
      providesTags: ['People'],
    }),
    readAccountNews: build.mutation<unknown, { readonly upTo: string }>({
      query: body => ({ url: '/account/news/read', method: 'POST', body }),
      invalidatesTags: ['People'],
    }),
  }),
})

export const { useAccountNewsQuery, useReadAccountNewsMutation } = accountNewsApi
