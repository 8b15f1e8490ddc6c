import { useEffect, useState } from 'react'
import { createTurns } from '../../views/turns'

/** What the shelf has to do, one after the other, so that a hand that scrolls is not held up. */
export const inTurn = createTurns(0)

/** Whether its turn has come since it is there. */
export function useTurn(): boolean {
  const [hasCome, setHasCome] = useState(false)
  useEffect(() => inTurn(() => setHasCome(true)), [])
  return hasCome
}
