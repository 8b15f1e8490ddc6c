import { adjustableWrap } from './adjustable-wrap/index.js'
import { boardCover } from './board-cover/index.js'
import type { Family } from './contract.js'
import { foldCase } from './fold-case/index.js'
import { gluedWrap } from './glued-wrap/index.js'
import { sleeve } from './sleeve/index.js'
import { slipCover } from './slip-cover/index.js'
import { softWrap } from './soft-wrap/index.js'
import { turnedFlapCover } from './turned-flap-cover/index.js'
import { zipAround } from './zip-around/index.js'
import { zipPouch } from './zip-pouch/index.js'

/** Every way of making, in the order in which they are offered. The only place that names them. */
export const families: readonly Family[] = [
  slipCover,
  turnedFlapCover,
  adjustableWrap,
  gluedWrap,
  boardCover,
  softWrap,
  sleeve,
  zipPouch,
  foldCase,
  zipAround,
]

export function findFamily(id: string): Family | undefined {
  return families.find(family => family.id === id)
}
