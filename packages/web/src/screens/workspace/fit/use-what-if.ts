import { whatIfIds, type WhatIfId } from '@snowdrift/core'
import { useMemo } from 'react'
import { useSearchParams } from 'react-router'
import { oneStep } from '../../../drafts/draft'
import { useCover } from '../cover-context'

/** What goes otherwise than planned: as the address says, or else as it is kept with the cover. */
export interface ChosenWhatIf {
  readonly ids: readonly WhatIfId[]
  readonly choose: (ids: readonly WhatIfId[]) => void
  /** The address of this combination. */
  readonly link: () => string
}

const nothing: readonly WhatIfId[] = []

export function useWhatIf(): ChosenWhatIf {
  const { file, change } = useCover()
  const [search, setSearch] = useSearchParams()
  const asked = search.get('if')
  const ids = useMemo(
    () => (asked === null ? (file.whatIf ?? nothing) : readIds(asked)),
    [asked, file.whatIf],
  )
  return {
    ids,
    choose: chosen => {
      const { whatIf: _before, ...rest } = file
      change(oneStep, () => (chosen.length > 0 ? { ...rest, whatIf: [...chosen] } : rest))
      if (asked !== null) setSearch({}, { replace: true })
    },
    link: () => `${location.origin}${location.pathname}?if=${ids.join('+')}`,
  }
}

/** Those of the address that are known; the plus between them comes back as a space. */
function readIds(text: string): readonly WhatIfId[] {
  const named = text.split(/[+ ]/)
  return whatIfIds.filter(id => named.includes(id))
}
