import type { StepKind, WorkPlace } from '@snowdrift/core'

export const placeWords: Readonly<Record<WorkPlace, string>> = {
  cutting: 'at the cutting table',
  iron: 'at the iron',
  machine: 'at the machine',
  table: 'at the table',
  glue: 'at the glue',
  hand: 'by hand',
  press: 'to lie and wait',
}

export const kindWords: Readonly<Record<StepKind, string>> = {
  measure: 'measure',
  wash: 'wash',
  cut: 'cut out',
  label: 'label',
  mark: 'mark',
  fuse: 'fuse',
  baste: 'hold in place',
  sew: 'sew',
  topstitch: 'top-stitch',
  quilt: 'quilt',
  hem: 'hem',
  trim: 'trim',
  clip: 'clip',
  turn: 'turn',
  press: 'press',
  fold: 'fold',
  glue: 'glue',
  set: 'set',
  punch: 'punch',
  thread: 'thread',
  'try-in': 'try in',
  fit: 'fit',
  'hand-sew': 'sew by hand',
  attach: 'put on',
  inspect: 'look',
  finish: 'finish',
}

/** How cheap a mend still is. */
export const costWords = {
  cheap: 'Still cheap: a minute.',
  costly: 'Costly: something is unpicked.',
  'too-late': 'Too late to mend: a new piece.',
} as const
