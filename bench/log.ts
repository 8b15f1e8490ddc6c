import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import {
  learn,
  planSeries,
  readCover,
  readScheduleRequest,
  schedule,
  type CoveredObject,
  type MakeRecord,
} from '@snowdrift/core'
import type { Page } from 'puppeteer-core'
import { see } from '../e2e/testing/hands.js'
import { openSite } from '../e2e/testing/site.js'
import { quantile, report, timed } from './measure.js'

const examples = [
  'botany-journal',
  'course-notes',
  'hut-ledger',
  'field-guide',
  'cable-pouch',
  'night-reader',
  'moor-panel',
  'rota-planner',
  'sketch-tablet',
  'weather-booklets',
] as const

const exampleOf = (name: string) =>
  JSON.parse(readFileSync(join(import.meta.dirname, `../docs/examples/${name}.json`), 'utf8')) as object

/** Numbers that are the same each time. */
function createNumbers(): () => number {
  let state = 12_345
  return () => (state = (state * 1_103_515_245 + 12_345) % 2 ** 31) / 2 ** 31
}

/** A plan of time, what makes tell, a series, and a shelf of thousands. */
export async function benchLog(): Promise<void> {
  await benchSchedule()
  await benchLearning()
  await benchSeries()
  await benchShelf()
}

/** Twenty covers, 600 steps with the copies of some, in evenings of two hours. */
async function benchSchedule(): Promise<void> {
  const covers = Array.from({ length: 20 }, (_, index) => ({
    id: `cover-${index}`,
    file: exampleOf(examples[index % examples.length] ?? 'hut-ledger'),
    copies: index % 5 < 2 ? 2 : 1,
    due: `2026-12-${String(10 + index).padStart(2, '0')}`,
  }))
  const sessions = Array.from({ length: 31 }, (_, day) => ({
    start: `2026-12-${String(day + 1).padStart(2, '0')}T18:30`,
    minutes: 150,
  }))
  const read = readScheduleRequest({ covers, sessions })
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  const { request, budgetMs } = read.value
  const steps = request.work.reduce((sum, { steps: own, copies }) => sum + own.length * copies, 0)
  const tries = []
  let saved = 0
  for (let run = 0; run < 5; run += 1)
    tries.push(
      await timed(() => {
        const { minutes, oneByOne, late } = schedule(request, {
          budgetMs: budgetMs - 100,
          now: () => performance.now(),
        })
        const lateMinutes = late.reduce((sum, one) => sum + one.minutes, 0)
        if (lateMinutes > oneByOne.lateMinutes) throw new Error('Later than one by one')
        saved = 1 - minutes.setUp / oneByOne.setUp
      }),
    )
  report(`a plan of time of ${steps} steps`, quantile(tries, 0.5), 'ms', 300)
  report('set-up minutes left of those one by one', 100 * (1 - saved), '%', 60)
}

async function benchLearning(): Promise<void> {
  const random = createNumbers()
  const makes = Array.from({ length: 500 }, (_, index): MakeRecord => {
    const sewn = () => 388 - 2 * (0.4 + random() - 0.5)
    return {
      id: `m${index}`,
      plannedCutMm: { width: 400, height: 400 },
      cutMm: { width: 400 + random(), height: 400 + random() },
      sewnMm: { width: sewn(), height: sewn() },
      allowancesMm: { width: 12, height: 12 },
      edges: { width: 2, height: 2 },
      seams: { width: 2, height: 2 },
      easePlannedMm: { width: 5, height: 5 },
      wentOn: { width: 'snug', height: 'snug' },
      fit: random() < 0.9,
      chance: 0.8 + random() / 5,
      minutes: {
        sew: { planned: 10, took: 9 + 4 * random() },
        cut: { planned: 5, took: 4 + 2 * random() },
        press: { planned: 3, took: 2 + 2 * random() },
      },
    }
  })
  const tries = []
  for (let run = 0; run < 10; run += 1) tries.push(await timed(() => learn(makes)))
  report('what 500 makes tell, median', quantile(tries, 0.5), 'ms', 50)
}

async function benchSeries(): Promise<void> {
  const random = createNumbers()
  const read = readCover(exampleOf('hut-ledger'))
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  const cover = read.value
  const books = Array.from({ length: 200 }, (): CoveredObject => {
    const book = readCover({
      ...exampleOf('hut-ledger'),
      object: {
        kind: 'hardcover',
        readings: {
          height: [`${150 + Math.round(150 * random())} mm`],
          width: [`${100 + Math.round(100 * random())} mm`],
          thickness: [`${10 + Math.round(30 * random())} mm`],
          boardThickness: ['3 mm'],
        },
      },
    })
    if (!book.ok) throw new Error(JSON.stringify(book.issues))
    return book.value.object
  })
  const tries = []
  for (let run = 0; run < 5; run += 1) tries.push(await timed(() => planSeries(cover, books)))
  report('the fewest covers for 200 books, median', quantile(tries, 0.5), 'ms', 500)
}

/** Two thousand covers: until the first stand there, and the longest task while one scrolls through them. */
async function benchShelf(): Promise<void> {
  const site = await openSite()
  try {
    const { repositories, workshop } = site.server()
    await repositories.covers.createAll(
      workshop,
      Array.from({ length: 2000 }, (_, index) => ({
        thingId: null,
        file: {
          ...exampleOf(examples[index % examples.length] ?? 'hut-ledger'),
          name: `Book ${index}`,
        } as never,
      })),
    )
    const page = await site.visit('/settings')
    const tries = []
    for (let run = 0; run < 5; run += 1)
      tries.push(
        await timed(async () => {
          await page.goto(site.address())
          await see(page, 'Book 1999')
        }),
      )
    report('shelf of 2,000 covers, first page, median', quantile(tries, 0.5), 'ms', 1000)
    report('shelf of 2,000 covers, longest task while scrolling', await scroll(page), 'ms', 50)
  } finally {
    await site.close()
  }
}

/** Scrolls twenty screens down, one every quarter of a second; gives the longest task on the way. */
async function scroll(page: Page): Promise<number> {
  return page.evaluate(async () => {
    await new Promise(resolve => setTimeout(resolve, 2000))
    let longest = 0
    const observer = new PerformanceObserver(list => {
      for (const { duration } of list.getEntries()) longest = Math.max(longest, duration)
    })
    observer.observe({ entryTypes: ['longtask'] })
    for (let screen = 0; screen < 20; screen += 1) {
      scrollBy(0, innerHeight)
      await new Promise(resolve => setTimeout(resolve, 250))
    }
    observer.disconnect()
    return longest
  })
}
