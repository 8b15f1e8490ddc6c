import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** Why nothing of a workshop is shown: nobody paired this device, nobody signed in here, or they belong to none. */
export type ShutOut = 'unpaired' | 'signed-out' | 'no-workshop'

/** How this device stands with the server. */
export const serverSlice = createSlice({
  name: 'server',
  initialState: {
    /** It shows nothing here any longer, or never did. */
    shutOut: null as ShutOut | null,
    /** Whoever is here sees everything and changes nothing. */
    looksOn: false,
    /** What others change is heard of at once; else it is looked for now and then. */
    live: false,
  },
  reducers: {
    shutOut: (state, { payload }: PayloadAction<ShutOut>) => {
      state.shutOut = payload
    },
    looksOnChanged: (state, { payload }: PayloadAction<boolean>) => {
      state.looksOn = payload
    },
    liveChanged: (state, { payload }: PayloadAction<boolean>) => {
      state.live = payload
    },
  },
})

export const { shutOut, liveChanged, looksOnChanged } = serverSlice.actions
