import type { FamilySteps, Work } from './contract.js'
import type { Draft } from '../make/draft.js'
import { steps as adjustableWrap } from './adjustable-wrap/steps.js'
import { steps as boardCover } from './board-cover/steps.js'
import { steps as foldCase } from './fold-case/steps.js'
import { steps as gluedWrap } from './glued-wrap/steps.js'
import { steps as sleeve } from './sleeve/steps.js'
import { steps as slipCover } from './slip-cover/steps.js'
import { steps as softWrap } from './soft-wrap/steps.js'
import { steps as turnedFlapCover } from './turned-flap-cover/steps.js'
import { steps as zipAround } from './zip-around/steps.js'
import { steps as zipPouch } from './zip-pouch/steps.js'

/** Every way of making’s steps, by its name. Apart from the registry, for a page that only plans needs none of their words. */
export const familySteps: Readonly<Record<string, FamilySteps>> = {
  'adjustable-wrap': sealed(adjustableWrap),
  'board-cover': sealed(boardCover),
  'fold-case': sealed(foldCase),
  'glued-wrap': sealed(gluedWrap),
  sleeve: sealed(sleeve),
  'slip-cover': sealed(slipCover),
  'soft-wrap': sealed(softWrap),
  'turned-flap-cover': sealed(turnedFlapCover),
  'zip-around': sealed(zipAround),
  'zip-pouch': sealed(zipPouch),
}

/** Only options that its own schema read go back in. */
function sealed<Options>(steps: (work: Work<Options>) => readonly Draft[]): FamilySteps {
  return steps as unknown as FamilySteps
}
