import type { Session } from '../session.js'

/** Photos of makes, small enough for a row. Each has the name that its maker gave it, in its workshop. */
export interface PhotoRepository {
  readonly find: (workshop: string, id: string) => Promise<Buffer | undefined>
  /** Puts a photo there, or in the place of the one before. */
  readonly put: (workshop: string, makeId: string, id: string, bytes: Buffer) => Promise<void>
  readonly count: (workshop: string, makeId: string) => Promise<number>
}

export function createPhotoRepository({ models: { Photo }, transaction }: Session): PhotoRepository {
  return {
    find: async (workshopId, id) =>
      (await Photo.findOne({ where: { workshopId, id }, transaction }))?.get().bytes,
    put: async (workshopId, makeId, id, bytes) => {
      await Photo.upsert({ workshopId, makeId, id, bytes }, { transaction })
    },
    count: (workshopId, makeId) => Photo.count({ where: { workshopId, makeId }, transaction }),
  }
}
