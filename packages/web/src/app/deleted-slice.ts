import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** What was deleted last, so that it can be brought back. */
export interface Deleted {
  readonly kind: 'cover' | 'thing' | 'material' | 'piece' | 'make'
  readonly id: string
  readonly name: string
}

export const deletedSlice = createSlice({
  name: 'deleted',
  initialState: { last: null as Deleted | null },
  reducers: {
    deleted: (state, { payload }: PayloadAction<Deleted>) => {
      state.last = payload
    },
    restored: state => {
      state.last = null
    },
  },
})

export const { deleted, restored } = deletedSlice.actions
