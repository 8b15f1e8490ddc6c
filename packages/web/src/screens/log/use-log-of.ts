import {
  beginLog,
  handsOf,
  initialSettings,
  planSteps,
  sayPlainly,
  simulate,
  type MakeLog,
} from '@snowdrift/core'
import { useSettingsQuery } from '../../api/api'
import { today } from '../../views/own-clock'
import { plannedOf } from '../../views/planned'
import type { OnTheBench } from '../bench/use-making'

/** Enough for the chance as it is said: to a part in a hundred. */
const makes = 5000

/** What the log of this cover begins with, were it put there today. */
export function useLogOf(): (bench: OnTheBench) => MakeLog | undefined {
  const { data } = useSettingsQuery()
  const settings = data ?? initialSettings()
  return ({ file, progress, planned: plan, unit }) => {
    const { cover } = plannedOf(file)
    if (!cover) return undefined
    // everybody's minutes, so that a pace that was learnt is not learnt again from itself
    const hands = { ...handsOf(settings), beginner: false }
    const chance = simulate(cover, { makes })?.chance
    return beginLog({
      cover,
      planned: plan,
      making: planSteps(cover, plan, { say: sayPlainly(unit), hands }),
      progress,
      unit,
      finished: today(),
      ...(chance !== undefined && { chance }),
    })
  }
}
