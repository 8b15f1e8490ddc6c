import type { ExtraSteps, ExtraWork } from './contract.js'
import type { Draft } from '../make/draft.js'
import { steps as bookmark } from './bookmark/steps.js'
import { steps as contrastSpine } from './contrast-spine/steps.js'
import { steps as elasticBand } from './elastic-band/steps.js'
import { steps as handles } from './handles/steps.js'
import { steps as holeTie } from './hole-tie/steps.js'
import { steps as loopButton } from './loop-button/steps.js'
import { steps as magnets } from './magnets/steps.js'
import { steps as patch } from './patch/steps.js'
import { steps as pocketClear } from './pocket-clear/steps.js'
import { steps as pocketDivided } from './pocket-divided/steps.js'
import { steps as pocketFaced } from './pocket-faced/steps.js'
import { steps as pocketPatch } from './pocket-patch/steps.js'
import { steps as pocketScoop } from './pocket-scoop/steps.js'
import { steps as pocketTiered } from './pocket-tiered/steps.js'
import { steps as pocketZip } from './pocket-zip/steps.js'
import { steps as portNotch } from './port-notch/steps.js'
import { steps as quilting } from './quilting/steps.js'
import { steps as ribbon } from './ribbon/steps.js'
import { steps as strap } from './strap/steps.js'
import { steps as tabSnap } from './tab-snap/steps.js'
import { steps as thumbScoop } from './thumb-scoop/steps.js'
import { steps as tiePair } from './tie-pair/steps.js'
import { steps as wrapRibbon } from './wrap-ribbon/steps.js'
import { steps as zipGuard } from './zip-guard/steps.js'

/** Every extra’s steps, by its name. Apart from the registry, for a page that only plans needs none of their words. */
export const extraSteps: Readonly<Record<string, ExtraSteps>> = {
  bookmark: sealed(bookmark),
  'contrast-spine': sealed(contrastSpine),
  'elastic-band': sealed(elasticBand),
  handles: sealed(handles),
  'hole-tie': sealed(holeTie),
  'loop-button': sealed(loopButton),
  magnets: sealed(magnets),
  patch: sealed(patch),
  'pocket-clear': sealed(pocketClear),
  'pocket-divided': sealed(pocketDivided),
  'pocket-faced': sealed(pocketFaced),
  'pocket-patch': sealed(pocketPatch),
  'pocket-scoop': sealed(pocketScoop),
  'pocket-tiered': sealed(pocketTiered),
  'pocket-zip': sealed(pocketZip),
  'port-notch': sealed(portNotch),
  quilting: sealed(quilting),
  ribbon: sealed(ribbon),
  strap: sealed(strap),
  'tab-snap': sealed(tabSnap),
  'thumb-scoop': sealed(thumbScoop),
  'tie-pair': sealed(tiePair),
  'wrap-ribbon': sealed(wrapRibbon),
  'zip-guard': sealed(zipGuard),
}

/** Only options that its own schema read go back in. */
function sealed<Options>(steps: (work: ExtraWork<Options>) => readonly Draft[]): ExtraSteps {
  return steps as unknown as ExtraSteps
}
