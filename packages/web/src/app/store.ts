import { configureStore } from '@reduxjs/toolkit'
import { setupListeners } from '@reduxjs/toolkit/query'
import { useDispatch, useSelector } from 'react-redux'
import { api } from '../api/api'
import { autosave } from '../drafts/autosave'
import { draftsSlice } from '../drafts/drafts-slice'
import { holdWindow } from '../drafts/kept-drafts'
import { deletedSlice } from './deleted-slice'
import { litSlice } from './lit-slice'

export const store = configureStore({
  reducer: {
    api: api.reducer,
    drafts: draftsSlice.reducer,
    deleted: deletedSlice.reducer,
    lit: litSlice.reducer,
  },
  middleware: defaults => defaults().prepend(autosave.middleware).concat(api.middleware),
})
setupListeners(store.dispatch)
holdWindow()

export type RootState = ReturnType<typeof store.getState>
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
export const useAppSelector = useSelector.withTypes<RootState>()
