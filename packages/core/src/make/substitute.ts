import type { Draft } from './draft.js'
import type { Hands } from './hands.js'
import { beginnersFactor, ladderMinutes } from './minutes.js'

/** Steps as they are done with what is at hand: by hand without a machine, with the finger without an iron. */
export function withHands(draft: Draft, hands: Hands): Draft {
  return slower(withoutFeet(withoutIron(byHand(draft, hands), hands), hands), hands)
}

/** Backstitch by hand takes as long as a ladder stitch. */
function byHand(draft: Draft, { machine }: Hands): Draft {
  if (machine || draft.place !== 'machine') return draft
  return {
    ...draft,
    kind: draft.kind === 'sew' || draft.kind === 'topstitch' ? 'hand-sew' : draft.kind,
    place: 'hand',
    minutes: draft.stitchedMm === undefined ? draft.minutes * 3 : ladderMinutes(draft.stitchedMm),
    does: `${draft.does} By hand: backstitch with doubled thread, small and even.`,
    tools: (draft.tools ?? []).filter(tool => !machineTools.includes(tool)).concat('needle', 'strong thread'),
  }
}

const machineTools: readonly string[] = ['sewing machine', 'even-feed foot', 'zip foot', 'strong needle']

function withoutIron(draft: Draft, { iron }: Hands): Draft {
  if (iron || !usesIron(draft)) return draft
  const tools = (draft.tools ?? []).filter(tool => tool !== 'iron')
  const cautions = (draft.cautions ?? []).filter(caution => caution !== 'hot-iron')
  if (draft.kind === 'fuse')
    return {
      ...draft,
      kind: 'baste',
      place: 'hand',
      name: draft.name.replace(/^Fuse/, 'Baste'),
      does: `${draft.does} Without an iron nothing fuses: baste it in by hand, within the seam.`,
      tools: [...tools, 'needle', 'thread'],
      cautions,
    }
  return {
    ...draft,
    ...(draft.place === 'iron' && { place: 'table' }),
    does: `${draft.does} Without an iron: press with the fingernail or a folder, and let the top-stitch hold it.`,
    tools: [...tools, 'bone folder'],
    cautions,
  }
}

function usesIron({ place, tools = [] }: Draft): boolean {
  return place === 'iron' || tools.includes('iron')
}

function withoutFeet(draft: Draft, { evenFeedFoot, zipFoot, machine }: Hands): Draft {
  if (!machine || (evenFeedFoot && zipFoot)) return draft
  const lacks = (foot: string, has: boolean) => !has && (draft.tools ?? []).includes(foot)
  const words = [
    ...(lacks('even-feed foot', evenFeedFoot)
      ? [
          'Without an even-feed foot: baste every hand’s breadth, lengthen the stitch, lift the foot at each stop.',
        ]
      : []),
    ...(lacks('zip foot', zipFoot)
      ? ['Without a zip foot: needle to one side, and stop to move the pull out of the way.']
      : []),
  ]
  if (words.length === 0) return draft
  return {
    ...draft,
    does: [draft.does, ...words].join(' '),
    tools: (draft.tools ?? []).filter(
      tool => !lacks(tool, tool === 'even-feed foot' ? evenFeedFoot : zipFoot) || !tool.endsWith(' foot'),
    ),
  }
}

function slower(draft: Draft, { beginner, pace }: Hands): Draft {
  const factor = pace?.[draft.kind] ?? (beginner ? beginnersFactor : 1)
  return factor === 1 ? draft : { ...draft, minutes: draft.minutes * factor }
}
