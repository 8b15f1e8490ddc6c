import {
  askedReadings,
  describeChoice,
  drawMeasureGuide,
  readingsNeeded,
  readingWords,
  type Cover,
  type ReadingKey,
} from '@snowdrift/core'
import { openFlow } from './flow.js'
import type { Paper } from './paper.js'
import { openPages } from './sheet-of-paper.js'

/** To give to whoever has the thing at hand: what to measure, where the tape goes, lines to write on. */
export async function writeMeasuringCard(cover: Cover, paper: Paper): Promise<Uint8Array> {
  const isDevice = cover.family.traits.includes('device')
  const pages = openPages(paper, `To measure for ${cover.name || 'a cover'}`)
  const flow = openFlow(pages)
  flow.title(`To measure for ${cover.name || 'a cover'}`)
  flow.paragraph(
    'Close the thing, knock it upright on the table, and measure with a tape that begins at nought. Read each one twice, at two places, and write both down as the tape has them. Say which unit.',
  )
  flow.blanks(['Unit (in, cm or mm)', 'Finest mark of the tape'])
  for (const key of readingsAsked(cover)) {
    const { name, how, onDevice } = readingWords[key]
    flow.heading(name, isDevice ? 30 : 90)
    flow.paragraph(isDevice ? (onDevice ?? how) : how)
    if (!isDevice) flow.picture(drawMeasureGuide(key), 52)
    flow.blanks([`${name}, first`, `${name}, second`])
  }
  const choices = choicesAsked(cover)
  if (choices.length > 0) {
    flow.heading('One of these will do')
    for (const words of choices) flow.paragraph(words)
  }
  return pages.finish()
}

/** Everything that some way of being measured asks for. */
function readingsAsked(cover: Cover): readonly ReadingKey[] {
  return [...new Set(asked(cover).flat(2))]
}

function choicesAsked(cover: Cover): readonly string[] {
  return asked(cover).flatMap(choice => (choice.length > 1 ? [describeChoice(choice)] : []))
}

/** As for a thing that nobody has measured yet. */
function asked(cover: Cover) {
  return askedReadings({ ...cover.object, readings: {} }, readingsNeeded(cover))
}
