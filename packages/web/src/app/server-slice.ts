import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** How this device stands with the server. */
export const serverSlice = createSlice({
  name: 'server',
  initialState: {
    /** It lets this device in no longer, or never did. */
    shutOut: false,
    /** What others change is heard of at once; else it is looked for now and then. */
    live: false,
  },
  reducers: {
    shutOut: state => {
      state.shutOut = true
    },
    liveChanged: (state, { payload }: PayloadAction<boolean>) => {
      state.live = payload
    },
  },
})

export const { shutOut, liveChanged } = serverSlice.actions
