export { clashingPins, type PinClash } from './clashing-pins.js'
export { meetingOf, type Meeting } from './matches.js'
export { orderCuts, type CutStep } from './cut-order.js'
export type { Layout, Placement, UsedSheet, Unplaced } from './layout.js'
export { findLeftOvers, type LeftOver } from './left-overs.js'
export { nest } from './nest.js'
export { nesting } from './nesting.js'
export {
  type AvoidedPlace,
  layoutLimits,
  type Cloth,
  type LayoutPiece,
  type LayoutRequest,
  type Match,
  type Pin,
  type Turn,
} from './request.js'
export type { Cuts } from './strip/search.js'
export { smallestLeftOver } from './usable.js'
