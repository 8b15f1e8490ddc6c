import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** The piece under the pointer or the focus: it lights up in every picture and list. */
export const litSlice = createSlice({
  name: 'lit',
  initialState: { piece: null as string | null },
  reducers: {
    lit: (state, { payload }: PayloadAction<string | null>) => {
      state.piece = payload
    },
  },
})

export const { lit } = litSlice.actions
