import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Keeping } from './kept-drafts'

/** What this device does for the work: whether it keeps what is not saved yet. */
export const deviceSlice = createSlice({
  name: 'device',
  initialState: { keeping: undefined as Keeping },
  reducers: {
    keepingChanged: (state, { payload }: PayloadAction<Keeping>) => {
      state.keeping = payload
    },
  },
})

export const { keepingChanged } = deviceSlice.actions
