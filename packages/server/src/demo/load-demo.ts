import type { Repositories } from '../db/repositories/repositories.js'
import { demoCovers } from './covers.js'
import { demoMaterials } from './materials.js'
import { demoThingList } from './things.js'

/** Fills an empty workshop with the whole demo or nothing of it; one that holds anything is left as its maker left it. */
export function loadDemo(repositories: Repositories, workshop: string): Promise<boolean> {
  return repositories.together(async ({ things, covers, materials, stash, hold }) => {
    await hold(workshop)
    for (const rows of [things, covers, materials])
      if ((await rows.list(workshop, { limit: 1 })).items.length > 0) return false
    const ids = new Map<string, string>()
    for (const [key, thing] of demoThingList) ids.set(key, (await things.create(workshop, thing)).id)
    for (const { thing, file } of demoCovers)
      await covers.create(workshop, { thingId: ids.get(thing) ?? null, file })
    for (const { pieces, ...material } of demoMaterials) {
      const { id } = await materials.create(workshop, material)
      for (const piece of pieces) await stash.add(workshop, id, piece)
    }
    return true
  })
}
