import { createListenerMiddleware } from '@reduxjs/toolkit'
import { tellOtherWindows } from './other-windows'

/** Tells the other windows of every write that is no saving of a draft: those are told by name. */
export const tellChanges = createListenerMiddleware()

tellChanges.startListening({
  predicate: action => isWrite(action as unknown as Write),
  effect: () => tellOtherWindows({ changed: true }),
})

interface Write {
  readonly type: string
  readonly meta?: { readonly arg?: { readonly endpointName?: string } }
}

function isWrite({ type, meta }: Write): boolean {
  return type === 'api/executeMutation/fulfilled' && meta?.arg?.endpointName !== 'saveRow'
}
