import type { WhereOptions } from 'sequelize'
import type { Session } from '../session.js'

/** The pictures of materials, small enough for a row. */
export interface PictureRepository {
  readonly find: (workshop: string, materialId: string) => Promise<Buffer | undefined>
  /** Puts a picture in the place of the one before; false where there is no such material. */
  readonly put: (workshop: string, materialId: string, bytes: Buffer) => Promise<boolean>
}

export function createPictureRepository(session: Session): PictureRepository {
  const { Picture, Material } = session.models
  return {
    find: async (workshopId, materialId) => {
      const { transaction } = session
      return (await Picture.findOne({ where: { workshopId, materialId }, transaction }))?.get().bytes
    },
    put: (workshopId, materialId, bytes) =>
      session.together(async ({ sequelize, transaction }) => {
        const where = { workshopId, id: materialId, deletedAt: null } as WhereOptions
        const [changed] = await Material.update(
          { picture: sequelize.literal('picture + 1'), version: sequelize.literal('version + 1') },
          { where, transaction },
        )
        if (changed === 0) return false
        await Picture.upsert({ workshopId, materialId, bytes }, { transaction })
        return true
      }),
  }
}
