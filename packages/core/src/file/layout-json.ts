import { formatLength } from '../length/format.js'
import { absolute, toJsonMm, zero, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import { orderCuts } from '../nest/cut-order.js'
import { findLeftOvers } from '../nest/left-overs.js'
import type { PinClash } from '../nest/clashing-pins.js'
import { meetingsWithFirst, type Meeting } from '../nest/matches.js'
import type { Layout, Unplaced } from '../nest/layout.js'
import type { LayoutRequest, Match } from '../nest/request.js'
import { smallestLeftOver } from '../nest/usable.js'

/** A layout as JSON carries it: millimetres to four decimals. `cutOrder` only where it is cut from edge to edge. */
export function layoutToJson(layout: Layout, { cuts, cloths, matches }: LayoutRequest, unit: Unit) {
  const lengthOf = (id: string) => cloths.find(cloth => cloth.id === id)?.length
  const order = cuts === 'rotary' ? orderCuts(layout, lengthOf) : undefined
  const say = (length: Length) => formatLength(length, unit, { finest: 16 })
  return {
    placements: layout.placements.map(({ piece, copy, cloth, sheet, x, y, width, height, turned }) => ({
      piece,
      copy,
      cloth,
      sheet,
      x: millimetres(x),
      y: millimetres(y),
      width: millimetres(width),
      height: millimetres(height),
      turned,
    })),
    used: layout.used.map(({ cloth, sheet, length, bound }) => ({
      cloth,
      sheet,
      length: { ...millimetres(length), text: formatLength(length, unit) },
      bound: millimetres(bound),
    })),
    leftOvers: findLeftOvers(layout, cloths, smallestLeftOver(unit)).map(
      ({ cloth, sheet, x, y, width, height }) => ({
        cloth,
        sheet,
        x: millimetres(x),
        y: millimetres(y),
        width: millimetres(width),
        height: millimetres(height),
      }),
    ),
    unplaced: layout.unplaced.map(({ piece, copy, why }) => ({ piece, copy, why })),
    ...(order && {
      cutOrder: order.map(({ cloth, sheet, part, direction, at, frees }, index) => ({
        step: index + 1,
        cloth,
        sheet,
        part: {
          x: millimetres(part.x),
          y: millimetres(part.y),
          width: millimetres(part.width),
          height: millimetres(part.height),
        },
        direction,
        ruler: { ...millimetres(at), text: formatLength(at, unit) },
        frees,
      })),
    }),
    findings: [
      ...describeUnplaced(layout.unplaced, {
        say,
        avoids: cloths.some(({ avoid = [] }) => avoid.length > 0),
      }).map(({ code, message, hint }) => ({ code, severity: 'error', message, hint })),
      ...(matches ?? []).flatMap(match => missedMeetings(layout, match, say)),
    ],
  }
}

/** A warning for each piece that does not meet the first of its match; one without room is an error already. */
function missedMeetings(layout: Layout, match: Match, say: (length: Length) => string) {
  return meetingsWithFirst(layout, match).flatMap(({ first, other, meeting }) => {
    if (meeting.kind === 'meets' || meeting.kind === 'unplaced') return []
    return [
      {
        code: 'print-misses',
        severity: 'warning',
        message: `The print does not run on from ${first} to ${other}: ${describeMeeting(meeting, say)}.`,
        hint: 'It takes up to one repeat more of cloth, in one piece.',
      },
    ]
  })
}

/** How the print comes out where two pieces meet, without a full stop. */
export function describeMeeting(
  meeting: Meeting,
  say: (length: Length) => string,
  { piece }: Pick<LayoutNames, 'piece'> = byId,
): string {
  switch (meeting.kind) {
    case 'meets':
      return 'it meets'
    case 'apart':
      return 'they lie on different pieces of cloth, and nobody can say how the print of one goes on in the other'
    case 'turned':
      return `${piece(meeting.piece)} lies turned`
    case 'unplaced':
      return `${piece(meeting.piece)} has no room`
    case 'misses': {
      const ways = [
        ...(meeting.along === zero ? [] : [`${say(absolute(meeting.along))} along the cloth`]),
        ...(meeting.across === zero ? [] : [`${say(absolute(meeting.across))} across it`]),
      ]
      return `it misses by ${ways.join(' and ')}`
    }
  }
}

export type LayoutJson = ReturnType<typeof layoutToJson>

interface UnplacedContext {
  readonly say: (length: Length) => string
  /** Whether some of the cloth is marked to be avoided. */
  readonly avoids: boolean
  readonly names?: LayoutNames
}

export interface UnplacedWords {
  readonly code: 'piece-too-large' | 'cloth-too-small'
  readonly pieces: readonly string[]
  readonly message: string
  readonly hint: string
}

/** How pieces and cloths are called where their ids are nobody's words. */
export interface LayoutNames {
  readonly piece: (id: string) => string
  readonly cloth: (id: string) => string
}

const byId: LayoutNames = { piece: id => id, cloth: id => id }

/** What does not go on the cloth, by how much, and what to do about it. */
export function describeUnplaced(
  unplaced: readonly Unplaced[],
  { say, avoids, names = byId }: UnplacedContext,
): readonly UnplacedWords[] {
  const large = unplaced.filter(
    ({ piece, why }, index) =>
      why === 'too-large' && unplaced.findIndex(other => other.piece === piece) === index,
  )
  const crowded = unplaced.filter(({ why }) => why === 'no-room')
  return [
    ...large.flatMap(({ piece, over }): readonly UnplacedWords[] => {
      if (!over) return []
      const sides = [
        ...(over.width > zero ? [`${say(over.width)} too wide`] : []),
        ...(over.length > zero ? [`${say(over.length)} too long`] : []),
      ].join(' and ')
      return [
        {
          code: 'piece-too-large',
          pieces: [piece],
          message: `${names.piece(piece)} goes onto no cloth: for ${names.cloth(over.cloth)} it is ${sides}.`,
          hint: 'Take larger cloth, or join the piece from two: a join costs two seam allowances.',
        },
      ]
    }),
    ...(crowded.length > 0
      ? [
          {
            code: 'cloth-too-small' as const,
            pieces: [...new Set(crowded.map(({ piece }) => piece))],
            message: `There is no room for ${listCounts(crowded.map(({ piece }) => names.piece(piece)))}.`,
            hint: `Add cloth, allow more remnants, ${avoids ? 'avoid less of it, ' : ''}or lay the pieces closer.`,
          },
        ]
      : []),
  ]
}

/** Why what was pinned cannot stay so, and what to do. */
export function describePinClash(clash: PinClash, names: LayoutNames): string {
  switch (clash.kind) {
    case 'avoided':
      return `${names.piece(clash.piece)} is pinned over a place of ${names.cloth(clash.cloth)} that is to be avoided. Move it, or let that place be used.`
    case 'over':
      return `${names.piece(clash.piece)} is pinned over ${names.piece(clash.other)}. Move one of them.`
    case 'not-parted':
      return `What is pinned on ${names.cloth(clash.cloth)} cannot be parted by cuts from edge to edge. Move a pin, or cut with scissors.`
  }
}

function listCounts(pieces: readonly string[]): string {
  return [...new Set(pieces)]
    .map(piece => {
      const many = pieces.filter(other => other === piece).length
      return many > 1 ? `${piece} (${many})` : piece
    })
    .join(', ')
}

function millimetres(length: Length) {
  return { mm: toJsonMm(length) }
}
