import {
  dimensionOf,
  scale,
  sayProperly,
  add,
  svgNumber,
  toMm,
  type Dimension,
  type Drawing,
  type Face,
  type Holds,
  type Plan,
  type SettableSize,
  type TextMark,
} from '@snowdrift/core'
import type { KeyboardEvent } from 'react'
import { letterOf, type DrawingFrame } from '../../../views/DrawingView'
import { useCover } from '../cover-context'
import { holdsOf } from './holds-of'
import type { Opened } from './opened'
import { PictureLayer } from './PictureLayer'
import { marksOf } from './pull-length'
import { nameSize } from './size-names'
import type { Told } from './told'
import { useSetLength } from './use-set-length'

interface SizeControlsProps {
  readonly drawing: Drawing
  readonly frame: DrawingFrame
  readonly textScale: number
  readonly plan: Plan
  readonly face: Face
  readonly holds: Holds
  readonly onOpen: (opened: Opened) => void
  readonly onTold: (told: Told | undefined) => void
}

/** Over each size that is written in the picture: pressed or typed on it opens, arrow keys step it where a setting decides it. */
export function SizeControls({
  drawing,
  frame,
  textScale,
  plan,
  face,
  holds,
  onOpen,
  onTold,
}: SizeControlsProps) {
  const { planned, unit, division } = useCover()
  const setLength = useSetLength()
  const said = drawing.marks.filter(isSaid)
  const letter = letterOf(frame, textScale)
  const step = (dimension: Dimension, marks: number) => {
    const now = sizeIn(holdsOf(planned, face), dimension)
    if (now) onTold(setLength(now.held, add(now.held.value, scale(division, marks / now.rate)), 'marked'))
  }
  return (
    <PictureLayer frame={frame} label="Sizes in the picture">
      {said.map(mark => {
        const size = sizeIn(holds, mark.says)
        const length = dimensionOf(plan.strip, mark.says)
        if (length === undefined) return null
        const name = nameSize(mark.says, plan.strip.panels)
        if (!size)
          return (
            <FollowingSize
              key={mark.says}
              {...{ name, length: sayProperly(unit)(length) }}
              box={boxOf(mark, letter)}
              onOpen={anchor => onOpen({ kind: 'following', dimension: mark.says, name, anchor, first: '' })}
            />
          )
        const open = (anchor: SVGGElement, first = '') =>
          onOpen({
            kind: 'size',
            size: sizeIn(holdsOf(planned, face), mark.says) ?? size,
            name,
            anchor,
            first,
          })
        return (
          <g
            key={mark.says}
            role="spinbutton"
            tabIndex={0}
            aria-label={`${name} in the picture`}
            aria-valuenow={Math.round(toMm(length) * 10) / 10}
            aria-valuetext={sayProperly(unit)(length)}
            data-size={mark.says}
            className="size-control pointer-events-auto cursor-text"
            onClick={event => open(event.currentTarget)}
            onKeyDown={event =>
              pressed(
                event,
                marks => step(mark.says, marks),
                first => open(event.currentTarget, first),
              )
            }
            onBlur={() => onTold(undefined)}
          >
            <rect {...boxOf(mark, letter)} rx={letter * 0.3} />
          </g>
        )
      })}
    </PictureLayer>
  )
}

interface FollowingSizeProps {
  readonly name: string
  readonly length: string
  readonly box: ReturnType<typeof boxOf>
  readonly onOpen: (anchor: SVGGElement) => void
}

/** A size that follows what was measured: pressed, it says what that is. */
function FollowingSize({ name, length, box, onOpen }: FollowingSizeProps) {
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${name} in the picture, ${length}: what it follows`}
      data-follows={name}
      className="size-control pointer-events-auto cursor-pointer"
      onClick={event => onOpen(event.currentTarget)}
      onKeyDown={event => {
        if (event.key !== 'Enter' && event.key !== ' ') return
        event.preventDefault()
        onOpen(event.currentTarget)
      }}
    >
      <rect {...box} />
    </g>
  )
}

function isSaid(mark: Drawing['marks'][number]): mark is TextMark & { readonly says: Dimension } {
  return mark.kind === 'text' && mark.says !== undefined
}

function sizeIn({ sizes }: Holds, dimension: Dimension): SettableSize | undefined {
  return sizes.find(size => size.dimension === dimension)
}

/** What a length as one speaks it begins with, and goes on with; a space alone opens it. */
const inLength = /^[\d.,/ ½¼¾⅛⅜⅝⅞]$/

function pressed(event: KeyboardEvent, step: (marks: number) => void, open: (first?: string) => void): void {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  const marks = marksOf(event)
  if (marks !== 0) step(marks)
  else if (event.key === 'Enter') open()
  else if (inLength.test(event.key)) open(event.key)
  else return
  event.preventDefault()
  // A digit is a length here, and not the way to a station.
  event.stopPropagation()
}

/** A box about the words of a size, in millimetres. */
function boxOf({ at, text, align, turned = false }: TextMark, letter: number) {
  const long = Math.max(text.length * 0.5, 2) * letter
  const high = letter * 1.7
  const [width, height] = turned ? [high, long] : [long, high]
  const [x, y] = at.map(length => Number(svgNumber(length))) as [number, number]
  return { x: align === 'start' ? x - letter * 0.3 : x - width / 2, y: y - height / 2, width, height }
}
