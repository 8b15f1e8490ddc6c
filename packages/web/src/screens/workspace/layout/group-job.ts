import {
  comesInSheets,
  cutFrom,
  groupPieces,
  layoutRequestOf,
  matchesOf,
  meetingsIn,
  marksOnStashPiece,
  mm,
  placeAfterWash,
  readLength,
  sheetToBuy,
  windowsOf,
  type ClothMark,
  type CoverToCut,
  type CuttingBody,
  type CuttingGroup,
  type LayoutRequest,
  type Length,
  type MaterialRow,
  type PrintMeeting,
  type PrintWindow,
  type StashPieceRow,
  type Unit,
} from '@snowdrift/core'
import { repeatOfStock } from '../../../views/cloth/look'
import { usualCloth } from '../../../views/cloth-words'
import { pinsOf, sourceOf, type Source } from './sources'

/** A group of pieces with its cloth and what the search is asked; nothing is asked where there is no cloth. */
export interface GroupJob {
  readonly group: CuttingGroup
  readonly source: Source
  readonly request: LayoutRequest | undefined
  /** Where the print could run on, whether it is asked for or not. */
  readonly meetings: readonly PrintMeeting[]
  /** Whether the stash says how often the print comes again. */
  readonly hasRepeat: boolean
  /** By piece: the parts of it in which something can be shown. */
  readonly windows: ReadonlyMap<string, readonly PrintWindow[]>
  /** By cloth: what of it is to be seen. */
  readonly marks: ReadonlyMap<string, readonly ClothMark[]>
}

/** What there is to cut from. */
export interface Stash {
  readonly materials: readonly MaterialRow[]
  readonly pieces: readonly StashPieceRow[]
}

interface Terms {
  /** Of the workshop: what is bought is offered in it. */
  readonly unit: Unit
  /** What bare numbers of the cutting are in. */
  readonly written: Unit
  /** How long a search for a layout may take. */
  readonly budgetMs: number
}

/** What covers are cut from, group by group. */
export function groupJobs(
  covers: readonly CoverToCut[],
  plan: CuttingBody,
  { materials, pieces }: Stash,
  terms: Terms,
): readonly GroupJob[] {
  return groupPieces(covers).map(gathered => {
    const source = sourceOf(gathered, plan, materials, pieces)
    const group = source.material ? cutFrom(gathered, source.material.material) : gathered
    const repeat = repeatOfSource(source)
    const chosen = (plan.matches ?? []).filter(match => match.group === group.key)
    const request = layoutRequestOf(group, {
      cuts: plan.cuts,
      unit: terms.unit,
      sheets: source.sheets,
      ...(source.settings.buy && whatToBuy(group, source, terms)),
      pins: pinsOf(group, plan),
      matches: matchesOf(group, covers, chosen, repeat),
      budgetMs: terms.budgetMs,
    })
    const hasRepeat = repeat.along !== undefined || repeat.across !== undefined
    return {
      group,
      source,
      request,
      meetings: meetingsIn(group, covers),
      hasRepeat,
      windows: new Map(group.pieces.map(piece => [piece.id, windowsOf(piece, covers)])),
      marks: marksOf(group, source),
    }
  })
}

/** What is still to be laid out: neither cut already nor without cloth. */
export function jobsToLay(
  groups: readonly GroupJob[],
  { done }: Pick<CuttingBody, 'done'>,
): readonly { readonly key: string; readonly request: LayoutRequest }[] {
  return groups.flatMap(({ group, request }) =>
    request && !done.includes(group.key) ? [{ key: group.key, request }] : [],
  )
}

/** Board and card are bought in sheets, cloth off a bolt. */
function whatToBuy(group: CuttingGroup, source: Source, terms: Terms) {
  if (comesInSheets(group.role)) return { buySheet: sheetToBuy(group, source.settings.sheet) }
  return { buyWidth: widthToBuy(source, terms) }
}

/** How often the print comes again. A print that is drawn has one repeat both ways, unless it says two. */
function repeatOfSource({ material }: Source) {
  if (!material) return {}
  const { along, across } = repeatOfStock(material.stock, material.unit)
  return { along, across: across ?? (isDrawn(material) ? along : undefined) }
}

/** The marks of the pieces of cloth that may be used, as they are once those are washed. */
function marksOf({ shrinkage }: CuttingGroup, { material, offered, sheets }: Source): GroupJob['marks'] {
  if (!material) return new Map()
  return new Map(
    sheets.map(({ id, washed }) => {
      const piece = offered.find(candidate => candidate.id === id)
      const marks = piece ? marksOnStashPiece(piece, material.unit) : []
      return [id, marks.map(mark => ({ ...mark, ...placeAfterWash(mark, { shrinkage, washed }) }))]
    }),
  )
}

function isDrawn({ stock, picture }: MaterialRow): boolean {
  return stock.photo === undefined && picture === 0
}

/** The width of cloth to buy: the one typed, else that of the material, else what is usual. */
function widthToBuy({ settings, material }: Source, { unit, written }: Terms): Length {
  const range = { min: mm(10), max: mm(10_000) }
  const typed = settings.width === null ? undefined : readLength(settings.width, written, range)
  if (typed?.ok) return typed.length
  const own = material?.stock.width
  const known = own === undefined ? undefined : readLength(own, material?.unit ?? unit, range)
  if (known?.ok) return known.length
  const usual = readLength(usualCloth(unit), unit, range)
  return usual.ok ? usual.length : mm(1100)
}
