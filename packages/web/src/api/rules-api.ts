import type { RuleBody, RuleRow } from '@snowdrift/core'
import { api, type Deleted } from './api'
import { basedOn } from './base-query'

/** Rules of one’s own: kept and given up. */
const rulesApi = api.injectEndpoints({
  endpoints: build => ({
    createRule: build.mutation<RuleRow, RuleBody>({
      query: body => ({ url: '/rules', method: 'POST', body }),
      invalidatesTags: ['Rules'],
    }),
    deleteRule: build.mutation<RuleRow, Deleted>({
      query: ({ id, version }) => ({ url: `/rules/${id}`, method: 'DELETE', headers: basedOn(version) }),
      invalidatesTags: ['Rules'],
    }),
  }),
})

export const { useCreateRuleMutation, useDeleteRuleMutation } = rulesApi
