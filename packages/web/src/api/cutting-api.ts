import type { CuttingRow } from '@snowdrift/core'
import { api } from './api'

/** One cutting, for who knows which. */
const cuttingApi = api.injectEndpoints({
  endpoints: build => ({
    cutting: build.query<CuttingRow, string>({
      query: id => `/cuttings/${id}`,
      providesTags: ['Cuttings'],
    }),
  }),
})

export const { useCuttingQuery } = cuttingApi
