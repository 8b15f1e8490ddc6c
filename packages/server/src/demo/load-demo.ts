import { noMark, type CoverRow } from '@snowdrift/core'
import type { Repositories } from '../db/repositories/repositories.js'
import { demoCovers } from './covers.js'
import { demoMakes } from './makes.js'
import { demoMaterials } from './materials.js'
import { demoThingList } from './things.js'

const msADay = 24 * 60 * 60 * 1000

/** What is wanted for whom: gifts of the turn of the year. */
const demoDates = [
  { cover: 'Star atlas, padded', inDays: 12 },
  { cover: 'Botany journal on elastic', inDays: 16 },
  { cover: 'Rota planner, zipped', inDays: 9 },
  { cover: 'Sketching tablet, fold-over case', inDays: 20 },
  { cover: 'Course handbooks, one wrap for all', inDays: 16 },
] as const

/** Fills an empty workshop with the whole demo or nothing of it; one that holds anything is left as its maker left it. */
export function loadDemo(repositories: Repositories, workshop: string, now: Date): Promise<boolean> {
  return repositories.together(async ({ things, covers, materials, stash, makes, marks, hold }) => {
    await hold(workshop)
    for (const rows of [things, covers, materials])
      if ((await rows.list(workshop, { limit: 1 })).items.length > 0) return false
    const ids = new Map<string, string>()
    for (const [key, thing] of demoThingList) ids.set(key, (await things.create(workshop, thing)).id)
    const made: CoverRow[] = []
    for (const { thing, file } of demoCovers)
      made.push(await covers.create(workshop, { thingId: ids.get(thing) ?? null, file }))
    await makes.createAll(workshop, demoMakes(made))
    for (const { cover, inDays } of demoDates) {
      const row = made.find(({ file }) => file.name === cover)
      const due = new Date(now.getTime() + inDays * msADay).toISOString().slice(0, 10)
      if (row) await marks.update(workshop, row.id, 'new', { mark: { ...noMark, due, planned: true } })
    }
    for (const { pieces, ...material } of demoMaterials) {
      const { id } = await materials.create(workshop, material)
      for (const piece of pieces) await stash.add(workshop, id, piece)
    }
    return true
  })
}
