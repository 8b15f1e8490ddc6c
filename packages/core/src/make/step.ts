/** What kind of work a step is. `cut` is the cutting out; what is trimmed, tapered or scooped later is `trim`. */
export const stepKinds = [
  'measure',
  'wash',
  'cut',
  'label',
  'mark',
  'fuse',
  'baste',
  'sew',
  'topstitch',
  'quilt',
  'hem',
  'trim',
  'clip',
  'turn',
  'press',
  'fold',
  'glue',
  'set',
  'punch',
  'thread',
  'try-in',
  'fit',
  'hand-sew',
  'attach',
  'inspect',
  'finish',
] as const
export type StepKind = (typeof stepKinds)[number]

/** What a maker has to set up; `press` is a place to lie and wait. */
export const workPlaces = ['cutting', 'iron', 'machine', 'table', 'glue', 'hand', 'press'] as const
export type WorkPlace = (typeof workPlaces)[number]

/** Which side of the work looks up. */
export type FaceUp = 'right side' | 'wrong side' | 'outside' | 'inside'

/** A question that is answered by looking, what to do where the answer is no, and how cheap that still is. */
export interface StepCheck {
  readonly ask: string
  readonly ifNot: string
  /** `cheap` takes a minute, `costly` is unpicking, `too-late` is a new piece. */
  readonly cost: 'cheap' | 'costly' | 'too-late'
}

/** A size that is taken off the made thing. */
export type StepMeasure =
  | { readonly piece: string; readonly side: MeasuredSide }
  | { readonly notion: string; readonly side: MeasuredSide }
export type MeasuredSide = 'width' | 'height' | 'length' | 'flap'

/** Where a hand, a lung or a thing is in danger. */
export const cautionIds = [
  'blades',
  'hot-iron',
  'needles',
  'punches',
  'glue',
  'flame',
  'magnets',
  'small-parts',
  'devices',
  'stiff-spine',
  'vinyl-iron',
  'wet-boards',
  'old-books',
] as const
export type CautionId = (typeof cautionIds)[number]

/** One step of the making. Source: docs/craft.md, Making. */
export interface Step {
  /** Kebab-case, once in a cover. */
  readonly id: string
  readonly kind: StepKind
  readonly name: string
  /** What hands do, with this cover’s own numbers. */
  readonly does: string
  readonly why: string
  readonly pieces: readonly string[]
  readonly notions: readonly string[]
  readonly face?: FaceUp
  readonly place: WorkPlace
  readonly tools: readonly string[]
  /** Active, without set-up. */
  readonly minutes: number
  /** Minutes before whatever needs it may start. */
  readonly wait?: number
  /** What needs it must start within so many minutes of its end, or of its wait’s end. */
  readonly within?: number
  /** Steps that come first; every order that keeps them is a right order. */
  readonly needs: readonly string[]
  readonly check?: StepCheck
  /** What follows cannot be taken back: the check is answered before going on. */
  readonly gate?: true
  readonly cautions: readonly CautionId[]
  /** The pile that belongs to it. */
  readonly joining?: string
  readonly measures: readonly StepMeasure[]
}
