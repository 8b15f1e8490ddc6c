import { severityIn } from '../finding/severities.js'
import { sayPlainly } from '../finding/say.js'
import { describeFinding } from '../finding/words/describe.js'
import type { Direction, Finding } from '../finding/finding.js'
import type { Severity } from '../finding/severity.js'
import { formatLength } from '../length/format.js'
import { subtract, toJsonMm, type Length } from '../length/length.js'
import type { Served } from '../families/contract.js'
import type { Unit } from '../length/unit.js'
import type { Notion } from '../piece/notion.js'
import type { Piece } from '../piece/piece.js'
import { because, type Reason } from '../piece/reason.js'
import type { Side } from '../piece/side.js'
import type { Plan } from '../plan/plan.js'

interface Millimetres {
  readonly mm: number
}

/** A plan as JSON carries it: millimetres to four decimals, plain text in the workshop's unit. */
export function planToJson(plan: Plan, unit: Unit) {
  return {
    pieces: plan.pieces.map(piece => pieceToJson(piece, unit)),
    notions: plan.notions.map(notion => notionToJson(notion, unit)),
    panels: plan.strip.panels.map(({ id, width, measureFirst }) => ({
      id,
      width: millimetres(width),
      ...(measureFirst && { measureFirst }),
    })),
    standOff: {
      body: millimetres(plan.standOff.body),
      ...(plan.standOff.flap !== undefined && { flap: millimetres(plan.standOff.flap) }),
    },
    ...(plan.fits.length > 0 && {
      needed: byDirection(plan, fit => millimetres(fit.needed)),
      finished: byDirection(plan, fit => millimetres(fit.finished)),
      ease: byDirection(plan, fit => ({ ...millimetres(fit.ease), verdict: fit.verdict })),
    }),
    ...(plan.serves && { serves: plan.serves.map(servedToJson) }),
    findings: plan.findings.map(finding => findingToJson(finding, unit)),
  }
}

export function findingToJson(finding: Finding, unit: Unit) {
  return {
    code: finding.code,
    severity: severityIn(finding),
    about: finding.about,
    ...describeFinding(finding, sayPlainly(unit)),
  }
}

export type PlanJson = ReturnType<typeof planToJson>

/** Whether the plan can be made as it stands: no error among its findings. */
export function isMakeable({
  findings,
}: {
  readonly findings: readonly { readonly severity: Severity }[]
}): boolean {
  return findings.every(({ severity }) => severity !== 'error')
}

function servedToJson({ book, free, reason }: Served) {
  return { book, free: millimetres(free), served: reason === undefined, ...(reason && { reason }) }
}

function pieceToJson(piece: Piece, unit: Unit) {
  const { id, role, count, width, height, trimTo, measureFirst, blank } = piece
  return {
    id,
    role,
    count,
    cut: { width: withText(width.cut, unit), height: withText(height.cut, unit) },
    exact: { width: millimetres(width.exact), height: millimetres(height.exact) },
    ...(trimTo && {
      trimTo: { piece: trimTo.piece, width: millimetres(trimTo.width), height: millimetres(trimTo.height) },
    }),
    ...(measureFirst && { measureFirst }),
    ...(blank && { blank: withText(blank.cut, unit) }),
    reasons: { width: width.reasons.map(reasonToJson), height: height.reasons.map(reasonToJson) },
  }
}

function notionToJson({ id, count, length, measureFirst, grams }: Notion, unit: Unit) {
  return {
    id,
    count,
    ...(length && { length: withText(length.cut, unit) }),
    ...(measureFirst && { measureFirst }),
    ...(grams !== undefined && { grams }),
    reasons: length ? [...length.reasons, ...roundingOf(length)].map(reasonToJson) : [],
  }
}

function roundingOf({ cut, exact }: Side): readonly Reason[] {
  return because('rounding up', subtract(cut, exact))
}

function byDirection<Value>(
  plan: Plan,
  value: (fit: Plan['fits'][number]) => Value,
): Partial<Record<Direction, Value>> {
  return Object.fromEntries(plan.fits.map(fit => [fit.direction, value(fit)]))
}

function reasonToJson({ label, length }: Reason) {
  return { label, ...millimetres(length) }
}

function millimetres(length: Length): Millimetres {
  return { mm: toJsonMm(length) }
}

function withText(length: Length, unit: Unit) {
  return { ...millimetres(length), text: formatLength(length, unit) }
}
