import { createListenerMiddleware } from '@reduxjs/toolkit'
import { noteOwnWrite } from './own-writes'
import { tellOtherWindows } from './other-windows'

/** Tells the other windows of every write that is no saving of a draft: those are told by name. */
export const tellChanges = createListenerMiddleware()

tellChanges.startListening({
  predicate: action => isWrite(action as unknown as Write),
  effect: action => {
    const { payload, meta } = action as unknown as Write
    if (payload?.id !== undefined && payload.version !== undefined) noteOwnWrite(payload.id, payload.version)
    if (meta?.arg?.endpointName !== 'saveRow') tellOtherWindows({ changed: true })
  },
})

interface Write {
  readonly type: string
  readonly meta?: { readonly arg?: { readonly endpointName?: string } }
  /** The row as it stands after it, where one was written. */
  readonly payload?: { readonly id?: string; readonly version?: number } | null
}

function isWrite({ type }: Write): boolean {
  return type === 'api/executeMutation/fulfilled'
}
