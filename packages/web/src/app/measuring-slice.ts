import type { ReadingKey } from '@snowdrift/core'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** The reading in hand, and of which of a cover’s things: the picture shows where the tape goes. */
export interface Measuring {
  readonly thing: number
  readonly reading: ReadingKey
}

const first: Measuring = { thing: 0, reading: 'height' }

export const measuringSlice = createSlice({
  name: 'measuring',
  initialState: first,
  reducers: {
    measuring: (_before, { payload }: PayloadAction<Measuring>) => payload,
  },
})

export const { measuring } = measuringSlice.actions
