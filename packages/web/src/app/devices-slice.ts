import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** Which devices this window is connected to. */
export const devicesSlice = createSlice({
  name: 'devices',
  initialState: { tape: false },
  reducers: {
    tapeWanted: (state, { payload }: PayloadAction<boolean>) => {
      state.tape = payload
    },
  },
})

export const { tapeWanted } = devicesSlice.actions
