import { initialSettings } from '@snowdrift/core'
import type { Models } from '../models/models.js'
import type { Session } from '../session.js'

/** The id of the workshop called `slug`, made with its settings where there is none; however many ask at once. */
export async function ensureWorkshop(
  { Workshop, Settings }: Models,
  slug: string,
  newId: () => string,
): Promise<string> {
  await Workshop.bulkCreate([{ id: newId(), slug }], { ignoreDuplicates: true })
  const row = await Workshop.findOne({ where: { slug }, rejectOnEmpty: true })
  const { id } = row.get()
  const settings = { ...initialSettings(), workshopId: id, version: 1 }
  await Settings.bulkCreate([settings], { ignoreDuplicates: true })
  return id
}

/** Holds the workshop until the transaction ends: whoever else wants to hold it waits. */
export async function holdWorkshop({ models, transaction }: Session, id: string): Promise<void> {
  await models.Workshop.findByPk(id, { transaction, lock: true })
}
