import type { ReactNode } from 'react'
import { StillMissing } from '../../views/StillMissing'
import { useCover } from './cover-context'

/** A station that has nothing to work on yet: what it waits for, and what is missing. */
export function NotYet({ children }: { readonly children: ReactNode }) {
  const { file, planned } = useCover()
  return (
    <div className="grid gap-3">
      <p className="text-soft">{children}</p>
      <StillMissing file={file} planned={planned} />
    </div>
  )
}
