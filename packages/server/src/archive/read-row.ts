import {
  check,
  readCoverBody,
  readCuttingBody,
  readMakeBody,
  readMakingBody,
  readMarkBody,
  readMaterialBody,
  readRuleBody,
  readStashPieceBody,
  readThingBody,
  stashPieceColumns,
  type ArchiveKind,
  type ReadResult,
  type Unit,
} from '@snowdrift/core'
import { z } from 'zod'

/** What reading a row needs to know of those before it. */
export interface Before {
  /** The unit of a material of the archive. */
  readonly unitOf: (materialId: string) => Unit | undefined
}

type Values = Readonly<Record<string, unknown>>

/** Reads what a file says of a row, as strictly as what a browser sends. */
export function readRow(kind: ArchiveKind, input: unknown, before: Before): ReadResult<Values> {
  switch (kind) {
    case 'things':
      return readThingBody(input)
    case 'materials':
      return readMaterialBody(input)
    case 'covers':
      return readCoverBody(input)
    case 'cuttings':
      return readCuttingBody(input)
    case 'rules':
      return readRuleBody(input)
    case 'makings':
      return readMakingBody(input)
    case 'marks':
      return readMarkBody(input)
    case 'makes':
      return readMakeBody(input)
    case 'pieces':
      return readPiece(input, before)
  }
}

const { materialId, state, coverId } = stashPieceColumns
const place = z.looseObject({ materialId: materialId.stored, state: state.stored, coverId: coverId.stored })

/** A piece with the material that it is of, what became of it, and for which cover. */
function readPiece(input: unknown, { unitOf }: Before): ReadResult<Values> {
  const stands = check(place, input)
  if (!stands.ok) return stands
  const { materialId, state, coverId, ...body } = stands.value
  const unit = unitOf(materialId)
  if (!unit) return refuse('materialId', 'Its material is not in the archive.')
  if ((state === 'reserved') !== (coverId !== null) && state !== 'cut')
    return refuse('coverId', 'A piece is kept for a cover, or free; found one without the other.')
  const read = readStashPieceBody(unit)(body)
  return read.ok ? { ok: true, value: { ...read.value, materialId, state, coverId } } : read
}

function refuse(path: string, message: string): ReadResult<never> {
  return { ok: false, issues: [{ path, message }] }
}
