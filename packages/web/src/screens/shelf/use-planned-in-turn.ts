import type { CoverFile } from '@snowdrift/core'
import { useEffect, useState } from 'react'
import { plannedOf, type Planned } from '../../views/planned'
import { inTurn } from './in-turn'

/** Plans cover after cover, each in its turn. */
export function usePlannedInTurn(file: CoverFile | undefined): Planned | undefined {
  const [planned, setPlanned] = useState<{ readonly file: CoverFile; readonly is: Planned }>()
  useEffect(() => {
    if (!file) return
    return inTurn(() => setPlanned({ file, is: plannedOf(file) }))
  }, [file])
  return planned && planned.file === file ? planned.is : undefined
}
