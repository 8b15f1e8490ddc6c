/**
 * What a way of making has or does, so that extras and advice can ask for it without naming families.
 *
 * `book`, `device`, `journal`: what it holds. `flaps`: boards slide into pockets at both ends. `turned`: sewn right
 * sides together and turned through an opening. `seamed`: joined by seams, whose allowance its cuts include; `glued`:
 * held by glue; neither where it is only stitched near its edges. `boards`: boards of its own.
 * `open-top`: a mouth that stays open. `zipped`: closes by a zip of its own. `folds-over`: its end folds over the
 * fore-edge and wants a closure. `lined`: may have a lining.
 */
export type Trait =
  | 'book'
  | 'device'
  | 'journal'
  | 'flaps'
  | 'turned'
  | 'seamed'
  | 'glued'
  | 'boards'
  | 'open-top'
  | 'zipped'
  | 'folds-over'
  | 'lined'
