import type { Models } from '../models/models.js'

/** The id of the workshop called `slug`, made with its settings where there is none. */
export async function ensureWorkshop(
  { Workshop, Settings }: Models,
  slug: string,
  newId: () => string,
): Promise<string> {
  const [row] = await Workshop.findOrCreate({ where: { slug }, defaults: { id: newId(), slug } })
  const { id } = row.get()
  const defaults = { workshopId: id, version: 1, unit: 'in', grid: null, tapeDivision: null, seam: null }
  await Settings.findOrCreate({ where: { workshopId: id }, defaults })
  return id
}
