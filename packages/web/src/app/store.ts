import { configureStore } from '@reduxjs/toolkit'
import { setupListeners } from '@reduxjs/toolkit/query'
import { useDispatch, useSelector, useStore } from 'react-redux'
import { api } from '../api/api'
import { autosave } from '../drafts/autosave'
import { deviceSlice, keepingChanged } from '../drafts/device-slice'
import { draftsSlice } from '../drafts/drafts-slice'
import { tryKeeping } from '../drafts/kept-drafts'
import { moveOldDrafts } from '../drafts/move-old-drafts'
import { follow } from '../drafts/follow'
import { takeUpLeftWork } from '../drafts/take-up'
import { leaveUndo } from '../drafts/undo-history'
import { besideSlice } from './beside-slice'
import { clothSlice } from './cloth-slice'
import { deletedSlice } from './deleted-slice'
import { devicesSlice } from './devices-slice'
import { litSlice } from './lit-slice'
import { measuringSlice } from './measuring-slice'
import { serverSlice } from './server-slice'
import { hearOtherWindows } from './other-windows'
import { tellChanges } from './tell-changes'

export const store = configureStore({
  reducer: {
    api: api.reducer,
    drafts: draftsSlice.reducer,
    device: deviceSlice.reducer,
    deleted: deletedSlice.reducer,
    lit: litSlice.reducer,
    devices: devicesSlice.reducer,
    cloth: clothSlice.reducer,
    beside: besideSlice.reducer,
    measuring: measuringSlice.reducer,
    server: serverSlice.reducer,
  },
  middleware: defaults =>
    defaults().prepend(autosave.middleware, tellChanges.middleware).concat(api.middleware),
})
setupListeners(store.dispatch)
hearOtherWindows(told => void store.dispatch(follow(told)))
addEventListener('pagehide', () => leaveUndo(store.getState().drafts))
void begin()

/** Finds out whether this device keeps anything, and takes up what closed windows left. */
async function begin(): Promise<void> {
  store.dispatch(keepingChanged(await tryKeeping()))
  await moveOldDrafts()
  await store.dispatch(takeUpLeftWork())
}

export type AppStore = typeof store
export type RootState = ReturnType<typeof store.getState>
export const useAppStore = useStore.withTypes<AppStore>()
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
export const useAppSelector = useSelector.withTypes<RootState>()
