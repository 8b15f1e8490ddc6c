import { namePiece } from '../extras/name-piece.js'
import type { ExtraWork } from '../extras/contract.js'
import { lower } from '../extras/put-on.js'
import { extraSteps } from '../extras/steps-registry.js'
import { familySteps } from '../families/steps-registry.js'
import type { AddedExtra, Cover } from '../file/cover.js'
import type { Saying } from '../finding/say.js'
import { add, zero, type Length } from '../length/length.js'
import { totalThickness } from '../material/layer.js'
import type { Notion } from '../piece/notion.js'
import type { Piece } from '../piece/piece.js'
import { jobFor, type Plan } from '../plan/plan.js'
import { assemble, cutId, type Assembled } from './assembled.js'
import { backing } from './backing.js'
import { beginning } from './beginning.js'
import { has, type Bench } from './bench.js'
import { turnsAt, type Draft } from './draft.js'
import type { Hands } from './hands.js'
import { lastCallsOf, type LastCall } from './last-calls.js'
import { roundMinutes } from './minutes.js'
import { inOrder, totalMinutes } from './order.js'
import type { Step } from './step.js'
import { stitchFor, type Stitch } from './stitch.js'
import { withHands } from './substitute.js'

/** How a cover is made: one right order, and what it takes. */
export interface Making {
  readonly steps: readonly Step[]
  /** Active, with set-ups in this order. */
  readonly minutes: number
  /** With waits, one after the other. */
  readonly elapsed: number
  /** How the machine is set; absent where nothing is sewn. */
  readonly stitch?: Stitch
  /** By step, what can be added no more once it is done. */
  readonly lastCalls: Readonly<Record<string, LastCall>>
}

/**
 * Every step of a cover that is planned: what its way of making does, what is added, and the techniques they share, put
 * into one right order. `say` says lengths in the sentences. A few milliseconds. No steps where a piece comes out at nothing:
 * whoever reads the plan is told so, and nobody can cut it.
 */
export function planSteps(cover: Cover, plan: Plan, { say, hands }: { say: Saying; hands: Hands }): Making {
  if (!canBeCut(plan.findings)) return nothingToDo
  const order = inOrder(assembleSteps(cover, plan, { say, hands }))
  const steps = order.map(toStep)
  const sewn = steps.some(({ place, kind }) => place === 'machine' || kind === 'hand-sew')
  return {
    steps,
    ...totalMinutes(steps),
    lastCalls: lastCallsOf(order),
    ...(sewn && {
      stitch: stitchFor(plan.seams.length > 0 ? plan.seams : [{ thickness: wallThickness(cover, plan) }]),
    }),
  }
}

/** Whether every piece can be cut: where one comes out at nothing there is nothing to lay out or to make. */
export function canBeCut(findings: Plan['findings']): boolean {
  return findings.every(({ code }) => code !== 'piece-too-small')
}

const nothingToDo: Making = { steps: [], minutes: 0, elapsed: 0, lastCalls: {} }

/** All steps with what they need, as they were written. */
export function assembleSteps(
  cover: Cover,
  plan: Plan,
  { say, hands }: { say: Saying; hands: Hands },
): readonly Assembled[] {
  const job = jobFor(cover)
  const bench: Bench = {
    pieces: plan.pieces,
    notions: plan.notions,
    stack: job.stack,
    cutFrom: job.cutFrom,
    unit: job.unit,
    seam: job.seam,
    say,
    hands,
  }
  const { family, extras } = cover
  const { traits } = family
  const glued = traits.includes('glued')
  const own = stepsOf(familySteps, family.id)({ ...bench, job, made: plan })
  const held = own.some(draft => turnsAt(draft, 'folds')) ? 'edge' : 'seam'
  const brought = {
    pieces: byExtra(plan.pieces, plan.extraPieces),
    notions: byExtra(plan.notions, plan.extraNotions),
    placed: inGroups(plan.placed, ({ extra }) => extra),
    notes: inGroups(plan.notes, ({ extra }) => extra),
  }
  const added = extras.flatMap((extra, index) =>
    extra.extra.refuses(traits) === undefined
      ? [
          stepsOf(
            extraSteps,
            extra.extra.type,
          )(workOfExtra({ bench, cover, plan, extra, index, held, ...brought })),
        ]
      : [],
  )
  const drafts = [
    ...beginning(bench, {
      cover: cover.name,
      object: cover.object,
      isWashed: traits.includes('seamed'),
      nameOf: namePiece,
    }),
    ...backing(bench, {
      seamed: traits.includes('seamed'),
      glued,
      pieced: cover.pieced,
      quiltingLines: plan.strip.lines.filter(({ kind }) => kind === 'quilting').length,
      turns: own.some(({ id }) => id === 'turn-out'),
    }),
    ...own,
    ...numberedDrafts(added, own),
  ]
  return assemble(allUsed(drafts, plan).map(draft => withHands(draft, hands)))
}

/** What is registered without steps is a bug. */
function stepsOf<Steps>(registry: Readonly<Record<string, Steps>>, name: string): Steps {
  const steps = registry[name]
  if (!steps) throw new Error(`Nobody said how ${name} is made`)
  return steps
}

interface OneExtra {
  readonly bench: Bench
  readonly cover: Cover
  readonly plan: Plan
  readonly extra: AddedExtra
  readonly index: number
  readonly held: 'seam' | 'edge'
  readonly pieces: ReadonlyMap<number, readonly Piece[]>
  readonly notions: ReadonlyMap<number, readonly Notion[]>
  readonly placed: ReadonlyMap<number, Plan['placed']>
  readonly notes: ReadonlyMap<number, Plan['notes']>
}

/** Written out, not spread from the bench: a record that grows name by name costs seven times the room of one that is whole. */
function workOfExtra(one: OneExtra): ExtraWork<Readonly<Record<string, unknown>>> {
  const { bench, cover, plan, extra, index, held } = one
  const [placed] = one.placed.get(index) ?? []
  return {
    pieces: bench.pieces,
    notions: bench.notions,
    stack: bench.stack,
    cutFrom: bench.cutFrom,
    unit: bench.unit,
    seam: bench.seam,
    say: bench.say,
    hands: bench.hands,
    options: extra.options,
    traits: cover.family.traits,
    object: cover.object,
    name: lower(extra.extra.words.name),
    ownPieces: one.pieces.get(index) ?? [],
    ownNotions: one.notions.get(index) ?? [],
    carrier: carrierOf(plan, placed),
    held,
    notes: one.notes.get(index) ?? [],
    ...(placed && { placed: { ...placed, on: placed.ground.name } }),
  }
}

/** What each extra brought, by its place among them. */
function byExtra<Thing extends { readonly id: string }>(
  things: readonly Thing[],
  broughtBy: Readonly<Record<string, number>>,
): ReadonlyMap<number, readonly Thing[]> {
  return inGroups(things, ({ id }) => broughtBy[id])
}

/** Those of the same extra together, in their order; what belongs to none is left out. */
function inGroups<Thing>(
  things: readonly Thing[],
  extraOf: (thing: Thing) => number | undefined,
): ReadonlyMap<number, readonly Thing[]> {
  const found = new Map<number, Thing[]>()
  for (const thing of things) {
    const extra = extraOf(thing)
    if (extra === undefined) continue
    const group = found.get(extra)
    if (group) group.push(thing)
    else found.set(extra, [thing])
  }
  return found
}

/** The piece that carries it: the one it was put on, or the wall on that side. */
function carrierOf({ pieces }: Plan, placed: Plan['placed'][number] | undefined): string {
  const { piece, face } = placed?.ground ?? {}
  if (piece !== undefined && has({ pieces }, piece)) return piece
  return face === 'inside' && has({ pieces }, 'lining') ? 'lining' : 'outer'
}

/** A second thing of a kind has steps of its own: their names are numbered, and what they need of each other follows. */
function numberedDrafts(added: readonly (readonly Draft[])[], own: readonly Draft[]): readonly Draft[] {
  const taken = new Set(own.map(({ id }) => id))
  return added.flatMap(drafts => {
    const names = new Map(drafts.map(({ id }) => [id, freeName(id, taken)]))
    for (const name of names.values()) taken.add(name)
    if (drafts.every(({ id }) => names.get(id) === id)) return drafts
    return drafts.map(draft => ({
      ...draft,
      id: names.get(draft.id) ?? draft.id,
      ...(draft.needs && { needs: draft.needs.map(need => names.get(need) ?? need) }),
    }))
  })
}

function freeName(id: string, taken: ReadonlySet<string>): string {
  if (!taken.has(id)) return id
  let number = 2
  while (taken.has(`${id}-${number}`)) number++
  return `${id}-${number}`
}

/** Whatever is cut or bought is used: a way of making that forgets something is a bug. */
function allUsed(drafts: readonly Draft[], { pieces, notions }: Plan): readonly Draft[] {
  const used = new Set<string>()
  const attached = new Set<string>()
  for (const { id, pieces: on = [], notions: put = [] } of drafts) {
    for (const piece of on) if (id !== cutId(piece)) used.add(piece)
    for (const notion of put) attached.add(notion)
  }
  const forgotten = [
    ...pieces.filter(({ id }) => !used.has(id)),
    ...notions.filter(({ id }) => !attached.has(id)),
  ].map(({ id }) => id)
  if (forgotten.length > 0) throw new Error(`No step uses ${forgotten.join(', ')}`)
  return drafts
}

/** What is stitched through where no seam is named: the cloth, and the boards of a case. */
function wallThickness({ stack }: Cover, { section }: Plan): Length {
  return add(totalThickness(stack), section.boards?.thickness ?? zero)
}

function toStep(draft: Assembled): Step {
  const { id, kind, name, does, why, pieces, notions, face, place, minutes, wait, within, needs } = draft
  const { check, gate, joining, tools = none, cautions = none, measures = none } = draft
  return {
    id,
    kind,
    name,
    does,
    why,
    pieces,
    notions,
    ...(face && { face }),
    place,
    tools,
    minutes: roundMinutes(minutes),
    ...(wait !== undefined && { wait }),
    ...(within !== undefined && { within }),
    needs,
    ...(check && { check }),
    ...(gate && { gate }),
    cautions,
    ...(joining !== undefined && { joining }),
    measures,
  }
}

const none: readonly never[] = []
