import type { ObjectKind } from '@snowdrift/core'
import type { TableToImport } from '../parts/table-import/ImportTable'
import { api } from './api'
import { matchOf, type Imported } from './imported'

/** Books and devices as a table. */
const thingsApi = api.injectEndpoints({
  endpoints: build => ({
    importThings: build.mutation<
      Pick<Imported, 'added' | 'known'>,
      TableToImport & { readonly kind: ObjectKind }
    >({
      query: ({ table, columns, kind }) => ({
        url: '/things.csv',
        params: { kind, ...matchOf(columns) },
        method: 'POST',
        body: table,
      }),
      invalidatesTags: ['Things'],
    }),
  }),
})

export const { useImportThingsMutation } = thingsApi
