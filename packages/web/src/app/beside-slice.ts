import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { readDevice, writeDevice } from './device-storage'

const key = 'snowdrift.beside-layout'

/** Whether the cover is pictured beside its cutting layout; else the cloth has all the room. This device remembers it. */
export const besideSlice = createSlice({
  name: 'beside',
  initialState: () => ({ layout: readDevice(key) === 'cover' }),
  reducers: {
    besideLayout: (state, { payload }: PayloadAction<boolean>) => {
      state.layout = payload
    },
  },
})

const { besideLayout } = besideSlice.actions

export function showBesideLayout(shown: boolean) {
  writeDevice(key, shown ? 'cover' : 'nothing')
  return besideLayout(shown)
}
