import { createContext } from 'react'
import type { Unit } from '@snowdrift/core'

/**
 * The unit in which bare numbers of a row were written, where it may be another than the one that is shown: a length
 * field says it behind what it shows, and says its own behind what it hands on. Undefined where both are the same.
 */
export const WrittenUnit = createContext<Unit | undefined>(undefined)
