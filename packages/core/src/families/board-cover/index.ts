import { add, zero } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { standOff } from '../../material/stand-off.js'
import { largestReading } from '../../object/reading.js'
import { defineFamily } from '../contract.js'
import { plyOf } from '../section.js'
import { fitContents, sizeCase } from './case.js'
import { checkBoardCover } from './checks.js'
import { layInserts } from './inserts.js'
import { joinings } from './joinings.js'
import { options, resolveOptions, type BoardCoverOptions } from './options.js'
import { cutPieces, turnInsOf } from './pieces.js'
import { layStrip } from './strip.js'
import { suits, words } from './words.js'

export const boardCover = defineFamily<BoardCoverOptions>({
  id: 'board-cover',
  version: 1,
  words,
  traits: ['journal', 'glued', 'boards'],
  suits,
  requiredReadings: [[['pageHeight']], [['pageWidth']]],
  boardCounts: false,
  severalObjects: false,
  ruleMeasures: [],
  defaultSeam: unit => customary(1 / 4, unit),
  defaultEase: () => ({ width: zero, height: zero }),
  options,
  unused: ({ binding }) => (binding === 'elastic' ? [] : ['cord']),
  resolveOptions: job => {
    const resolved = resolveOptions(job)
    return { ...resolved, spineWidth: sizeCase(job, resolved).spineWidth.cut }
  },
  recipes: [],
  plan: job => {
    const { object, stack } = job
    const resolved = resolveOptions(job)
    const made = sizeCase(job, resolved)
    const pieces = cutPieces(job, made, resolved)
    const turnIns = turnInsOf(job, made, resolved)
    const pattern = layInserts(job, made, resolved, add(made.boardWidth.cut, made.gap))
    return {
      pieces,
      notions: pattern.notions,
      standOff: { body: standOff(stack) },
      fits: [],
      ...(made.contents > zero && { contents: fitContents(job, made) }),
      findings: checkBoardCover(job, made, turnIns),
      seams: [],
      strip: layStrip(job, made, pieces, { options: resolved, pattern, turnIns }),
      section: {
        title: 'The closed case seen from the tail',
        width: largestReading(object, 'pageWidth') ?? zero,
        thickness: made.inside > zero ? made.inside : zero,
        board: zero,
        rounded: false,
        device: false,
        closing: 'open',
        plies: stack
          .filter(({ role }) => role === 'outer' || role === 'underlining' || role === 'padding')
          .map(plyOf),
        boards: { thickness: made.thickness, gap: made.gap, overhang: resolved.foreEdgeOverhang },
      },
      joinings: joinings(resolved),
    }
  },
})
