import type { PairedDevice, PairingCode, Sharing } from '@snowdrift/core'
import { api } from './api'

/** What the machine knows of the devices that reach it. */
interface Devices {
  readonly items: readonly PairedDevice[]
  readonly sharing: Sharing
}

/** Phones and tablets: let in, listed, sent away. */
const devicesApi = api.injectEndpoints({
  endpoints: build => ({
    devices: build.query<Devices, void>({ query: () => '/devices', providesTags: ['Devices'] }),
    share: build.mutation<Sharing, Pick<Sharing, 'isOn'>>({
      query: body => ({ url: '/devices/sharing', method: 'PUT', body }),
      invalidatesTags: ['Devices'],
    }),
    showCode: build.mutation<PairingCode, void>({ query: () => ({ url: '/devices/code', method: 'POST' }) }),
    sendAway: build.mutation<unknown, string>({
      query: id => ({ url: `/devices/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Devices'],
    }),
    pair: build.mutation<{ readonly device: PairedDevice }, { readonly code: string; readonly name: string }>(
      {
        query: body => ({ url: '/pair', method: 'POST', body }),
      },
    ),
  }),
})

export const {
  useDevicesQuery,
  useShareMutation,
  useShowCodeMutation,
  useSendAwayMutation,
  usePairMutation,
} = devicesApi
