import type { OwnersAnswer, Shared, ShareBody, ShareRow } from '@snowdrift/core'
import { api } from './api'

/** Links for others: given out, taken back, and what somebody sees and sends by one. */
const sharesApi = api.injectEndpoints({
  endpoints: build => ({
    /** The links of a cover that were given out. */
    shares: build.query<readonly ShareRow[], string>({
      query: cover => `/shares?cover=${cover}`,
      transformResponse: ({ items }: { readonly items: readonly ShareRow[] }) => items,
      providesTags: ['Shares'],
    }),
    createShare: build.mutation<{ readonly share: ShareRow; readonly token: string }, ShareBody>({
      query: body => ({ url: '/shares', method: 'POST', body }),
      invalidatesTags: ['Shares'],
    }),
    revokeShare: build.mutation<unknown, string>({
      query: id => ({ url: `/shares/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Shares'],
    }),
    clearAnswer: build.mutation<unknown, string>({
      query: id => ({ url: `/shares/${id}/answer`, method: 'DELETE' }),
      invalidatesTags: ['Shares'],
    }),
    /** What somebody sees who has a link. */
    shared: build.query<Shared, string>({ query: token => `/shared/${token}` }),
    sendMeasurements: build.mutation<
      { readonly triesLeft: number },
      { readonly token: string; readonly answer: Omit<OwnersAnswer, 'at'> }
    >({
      query: ({ token, answer }) => ({ url: `/shared/${token}`, method: 'POST', body: answer }),
    }),
  }),
})

export const {
  useSharesQuery,
  useCreateShareMutation,
  useRevokeShareMutation,
  useClearAnswerMutation,
  useSharedQuery,
  useSendMeasurementsMutation,
} = sharesApi
