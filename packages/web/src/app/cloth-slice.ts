import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { readDevice, writeDevice } from './device-storage'

const key = 'snowdrift.cloth'

/** Whether pictures show the maker’s cloth or lines alone; this device remembers it. */
export const clothSlice = createSlice({
  name: 'cloth',
  initialState: () => ({ shown: readDevice(key) !== 'lines' }),
  reducers: {
    clothShown: (state, { payload }: PayloadAction<boolean>) => {
      state.shown = payload
    },
  },
})

const { clothShown } = clothSlice.actions

/** Shows cloth or lines from now on. */
export function showCloth(shown: boolean) {
  writeDevice(key, shown ? 'cloth' : 'lines')
  return clothShown(shown)
}
