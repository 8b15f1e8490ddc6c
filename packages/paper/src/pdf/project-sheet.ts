import {
  cautionWords,
  clothOf,
  describeFinding,
  drawSheet,
  drawStrip,
  layOutBought,
  readingStateWords,
  readingWords,
  roleWords,
  sayThickness,
  severityIn,
  usualClothWidth,
  verdictWords,
  type Audience,
  type Cover,
  type Making,
  type Plan,
  type Saying,
  type ToBuy,
} from '@snowdrift/core'
import { openFlow, type Flow } from './flow.js'
import type { Paper } from './paper.js'
import { openPages } from './sheet-of-paper.js'

export interface ProjectSheet {
  readonly cover: Cover
  readonly plan: Plan
  readonly making: Making
  /** The share of makes that fit, 0 to 1; left out where nothing was reckoned. */
  readonly chance?: number
  readonly say: Saying
  readonly nameOf: (id: string) => string
  readonly paper: Paper
  readonly audience?: Audience
}

/** The whole cover on paper: picture, thing, choices, pieces with their cloths, notions, what to mind, steps with boxes. */
export async function writeProjectSheet(sheet: ProjectSheet): Promise<Uint8Array> {
  const { cover, plan, paper, say, audience = 'maker' } = sheet
  const pages = openPages(paper, cover.name || 'A cover')
  const flow = openFlow(pages)
  flow.title(cover.name || 'A cover')
  flow.paragraph(`${cover.family.words.name}. ${cover.family.words.summary}`)
  flow.picture(drawStrip(plan.strip, say), 75)
  if (audience === 'maker') {
    writeThing(flow, sheet)
    writeChoices(flow, sheet)
    writeFit(flow, sheet)
  }
  writePieces(flow, sheet)
  writeNotions(flow, sheet)
  writeBought(flow, sheet)
  writeFindings(flow, sheet)
  writeSteps(flow, sheet)
  return pages.finish()
}

function writeThing(flow: Flow, { cover, say }: ProjectSheet): void {
  flow.heading(cover.objects.length > 1 ? 'The things' : 'The thing')
  const rows = cover.objects.flatMap((object, index) =>
    Object.entries(object.readings).map(([key, readings]) => [
      (cover.objects.length > 1 ? `${index + 1}: ` : '') +
        readingWords[key as keyof typeof readingWords].name,
      readings.map(({ length, about }) => (about ? `about ${say(length)}` : say(length))).join('; '),
      [...new Set(readings.flatMap(({ state }) => (state ? [readingStateWords[state]] : [])))].join(', '),
    ]),
  )
  flow.table(['Reading', 'Taken as', 'How'], rows, [2, 3, 3])
}

function writeChoices(flow: Flow, { cover, plan, say }: ProjectSheet): void {
  const { words } = cover.family
  const ownSeam = cover.seam !== undefined && cover.seam === plan.settled.seam
  flow.heading('Choices')
  flow.table(
    ['What', 'Chosen', 'Why'],
    [
      ['Made as', words.name, words.summary],
      ['Sized', sizingWords[cover.sizing.mode].what, sizingWords[cover.sizing.mode].why],
      ...(plan.settled.seam > 0
        ? [['Seam allowance', say(plan.settled.seam), ownSeam ? 'set for this cover' : 'usual when made so']]
        : []),
      ...cover.stack.map(({ role, name, thickness }) => [
        roleWords[role],
        name || roleWords[role],
        `${sayThickness(thickness)} thick`,
      ]),
      ...cover.extras.map(({ extra }) => ['Added', extra.words.name, extra.words.summary]),
    ],
    [2, 3, 5],
  )
  const { body, flap } = plan.standOff
  flow.paragraph(
    `The layers stand off the thing by ${say(body)}${flap === undefined ? '' : `, ${say(flap)} where the flaps lie`}: that is in the sizes.`,
  )
}

const sizingWords: Readonly<
  Record<Cover['sizing']['mode'], { readonly what: string; readonly why: string }>
> = {
  computed: {
    what: 'from the readings, the layers and an ease',
    why: 'it follows what was measured and what lies underneath',
  },
  rule: {
    what: 'by a measurement and a fixed amount',
    why: 'as it was made before; other layers do not move it',
  },
  recipe: { what: 'by a named rule', why: 'as the rule has it; other layers do not move it' },
  cut: { what: 'from a panel that is cut already', why: 'the panel is used whole, all else follows it' },
}

function writeFit(flow: Flow, { plan, chance, say }: ProjectSheet): void {
  if (plan.fits.length === 0) return
  flow.heading('How it will fit')
  flow.table(
    ['', 'Needed', 'Finished', 'Ease', 'Verdict'],
    plan.fits.map(({ direction, needed, finished, ease, verdict }) => [
      direction,
      say(needed),
      say(finished),
      say(ease),
      verdictWords[verdict],
    ]),
    [2, 3, 3, 3, 3],
  )
  if (chance !== undefined) flow.paragraph(`${Math.round(chance * 100)} of 100 made by hand will fit.`)
}

function writePieces(flow: Flow, { cover, plan, say, nameOf }: ProjectSheet): void {
  flow.heading('Pieces')
  flow.table(
    ['Piece', 'Cut', 'Width × height', 'From', ''],
    plan.pieces.map(({ id, role, count, width, height, trimTo, measureFirst, blank }) => [
      nameOf(id),
      `${count} ×`,
      `${say(width.cut)} × ${say(height.cut)}`,
      clothOf(cover, id, role)?.name || roleWords[role],
      [
        ...(trimTo ? [`trim to ${say(trimTo.width)} × ${say(trimTo.height)}`] : []),
        ...(measureFirst ? ['measure on the work first'] : []),
        ...(blank ? [`on the bias, from a square of ${say(blank.cut)}`] : []),
      ].join('; '),
    ]),
    [3, 1, 4, 3, 4],
  )
}

function writeNotions(flow: Flow, { plan, say, nameOf }: ProjectSheet): void {
  if (plan.notions.length === 0) return
  flow.heading('Notions')
  flow.table(
    ['Notion', 'Count', 'Length', ''],
    plan.notions.map(({ id, count, length, measureFirst, grams }) => [
      nameOf(id),
      grams === undefined ? String(count) : `${Math.ceil(grams)} g`,
      length ? say(length.cut) : '',
      measureFirst ? 'measure on the work first' : '',
    ]),
    [4, 1, 3, 4],
  )
}

/** As if nothing were at hand, with a first layout of each material. */
function writeBought(flow: Flow, { cover, plan, say }: ProjectSheet): void {
  const bought = layOutBought(cover, plan)
  flow.heading('To buy, where nothing is at hand')
  flow.table(
    ['Material', 'To buy', ''],
    bought.map(({ role, material, toBuy }) => [
      material || roleWords[role],
      toBuy ? amountOf(toBuy, say) : 'larger than what is sold',
      toBuy?.kind === 'length' ? `of ${say(usualClothWidth(cover.unit))} wide` : '',
    ]),
    [4, 4, 3],
  )
  for (const { sheets } of bought)
    for (const sheet of sheets) {
      flow.heading(`On the ${sheet.name}`, 60)
      flow.picture(drawSheet(sheet), 55)
    }
}

function amountOf(toBuy: ToBuy, say: Saying): string {
  if (toBuy.kind === 'length') return say(toBuy.length)
  return `${toBuy.count} of ${say(toBuy.width)} × ${say(toBuy.length)}`
}

function writeFindings(flow: Flow, { plan, say, audience = 'maker' }: ProjectSheet): void {
  const told = plan.findings.filter(finding => audience === 'maker' || severityIn(finding) !== 'advice')
  if (told.length === 0) return
  flow.heading('To mind')
  for (const finding of told) {
    const { message, hint } = describeFinding(finding, say)
    flow.paragraph(hint ? `${message} ${hint}` : message)
  }
}

function writeSteps(flow: Flow, { making }: ProjectSheet): void {
  flow.heading('Steps')
  flow.paragraph(
    `About ${Math.ceil(making.minutes)} minutes of work, ${Math.ceil(making.elapsed)} with every wait.`,
  )
  if (making.stitch) {
    const { length, needle } = making.stitch
    flow.paragraph(`Stitch ${length}, needle ${needle}; try it on a scrap of the same layers.`)
  }
  const warned = new Set<string>()
  flow.boxes(
    making.steps.map(({ name, does, check, cautions }) => {
      // each word of safety once, where it is needed first
      const fresh = cautions.filter(caution => !warned.has(caution))
      for (const caution of fresh) warned.add(caution)
      return {
        words: `${name}. ${does}`,
        beneath: [...(check ? [check.ask] : []), ...fresh.map(caution => cautionWords[caution])].join(' '),
      }
    }),
  )
}
