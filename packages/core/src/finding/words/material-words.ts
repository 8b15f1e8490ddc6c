import type { MaterialFindings } from '../data/material-findings.js'
import type { WordsOf } from './words-of.js'

export const materialFindingWords: WordsOf<MaterialFindings> = {
  'stiffen-outer': ({ cloth, thickness, with: remedy }, say) => ({
    message: `${cloth} is ${say.thin(thickness)} thin and has no body of its own.`,
    hint:
      remedy === 'woven'
        ? 'Fuse a woven interfacing to it: boards of this size want the body of home-decor cloth.'
        : 'Lay a thin batting under it, or fuse an interfacing to it.',
  }),
  'too-stiff': ({ cloth, thickness, layer }, say) => ({
    message: `${cloth} is ${say.thin(thickness)} thick already, and ${layer} stiffens it further.`,
    hint: 'Thick cloth needs neither interfacing nor batting; the corners turn better without.',
  }),
  'shows-through': ({ cloth, seeThrough, over }) => ({
    message: `${cloth} lets ${Math.round(seeThrough * 100)} % through; ${over === 'boards' ? 'the boards' : 'the print beneath'} will show.`,
    hint: 'Put an underlining of plain pale cloth, or a light interfacing, behind it.',
  }),
  'frays-much': ({ cloth, where }) => ({
    message: `${cloth} frays much.`,
    hint:
      where === 'seam'
        ? 'Take a seam of {⅜ in} or more, or zigzag the edges before they are joined.'
        : 'The edges stay raw here: run a line of fray sealer along them, or zigzag them close.',
  }),
  'glue-strikes-through': ({ cloth, thickness }, say) => ({
    message: `${cloth} is ${say.thin(thickness)} thin: glue strikes through it.`,
    hint: 'Back it with a fused interfacing, or brush the glue on the board, thinly, never on the cloth.',
  }),
  'shrinkage-differs': ({ most, mostPercent, least, leastPercent }) => ({
    message: `${most} shrinks by ${mostPercent} %, ${least} by ${leastPercent} %, and neither was washed.`,
    hint: `After the first wash the cover puckers. Wash and dry ${most} before it is cut.`,
  }),
  'padding-in-seam': ({ padding, inset, seam }, say) => ({
    message: `${padding} ends ${inset > 0 ? say(inset) : 'nothing'} inside the edge and is caught in the seam of ${say(seam)}.`,
    hint: 'It holds the padding well and makes the seam thick; the millimetre it takes is counted. Inset it by {½ in} to keep it out.',
  }),
  'clip-corners': ({ thickness }, say) => ({
    message: `${say.thin(thickness)} of cloth meets in each corner.`,
    hint: 'Clip the corners diagonally before turning, two threads short of the stitches, and push them out with a blunt stick.',
  }),
  'one-way-print': ({ cloth }) => ({
    message: `The print of ${cloth} has a top.`,
    hint: 'Cut every piece of it with its arrow to the top of the print; none may be turned to save cloth.',
  }),
}
