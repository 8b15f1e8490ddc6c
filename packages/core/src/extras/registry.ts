import { bookmark } from './bookmark/index.js'
import { contrastSpine } from './contrast-spine/index.js'
import type { Extra } from './contract.js'
import { elasticBand } from './elastic-band/index.js'
import { handles } from './handles/index.js'
import { holeTie } from './hole-tie/index.js'
import { loopButton } from './loop-button/index.js'
import { magnets } from './magnets/index.js'
import { patch } from './patch/index.js'
import { pocketClear } from './pocket-clear/index.js'
import { pocketDivided } from './pocket-divided/index.js'
import { pocketFaced } from './pocket-faced/index.js'
import { pocketPatch } from './pocket-patch/index.js'
import { pocketScoop } from './pocket-scoop/index.js'
import { pocketTiered } from './pocket-tiered/index.js'
import { pocketZip } from './pocket-zip/index.js'
import { portNotch } from './port-notch/index.js'
import { quilting } from './quilting/index.js'
import { ribbon } from './ribbon/index.js'
import { strap } from './strap/index.js'
import { tabSnap } from './tab-snap/index.js'
import { thumbScoop } from './thumb-scoop/index.js'
import { tiePair } from './tie-pair/index.js'
import { wrapRibbon } from './wrap-ribbon/index.js'
import { zipGuard } from './zip-guard/index.js'

/** Everything that can be added to a cover, in the order in which it is offered. */
export const extras: readonly Extra[] = [
  pocketPatch,
  pocketFaced,
  pocketTiered,
  pocketScoop,
  pocketZip,
  pocketClear,
  pocketDivided,
  tiePair,
  wrapRibbon,
  loopButton,
  tabSnap,
  strap,
  elasticBand,
  holeTie,
  handles,
  bookmark,
  patch,
  quilting,
  contrastSpine,
  ribbon,
  portNotch,
  thumbScoop,
  zipGuard,
  magnets,
]

export function findExtra(type: string): Extra | undefined {
  return extras.find(extra => extra.type === type)
}
