import type { Unit } from '@snowdrift/core'
import { useSettingsQuery } from '../api/api'

/** What the workshop measures in now; until that is known, the unit that a row was written in. */
export function useWorkshopUnit(written: Unit | undefined): Unit {
  const { data } = useSettingsQuery()
  return data?.unit ?? written ?? 'in'
}
