import { standings, usualStanding, type ClothMark, type PrintWindow, type Standing } from '@snowdrift/core'
import { useState } from 'react'
import { Button } from '../../../parts/Button'
import { SelectField } from '../../../parts/SelectField'
import { capital } from '../../../views/capital'

interface PutMarkProps {
  readonly marks: readonly ClothMark[]
  readonly windows: readonly PrintWindow[]
  readonly onPut: (mark: ClothMark, window: PrintWindow, standing: Standing) => void
}

const standingWords: Readonly<Record<Standing, string>> = {
  middle: 'in the middle',
  foot: 'at the foot',
  head: 'at the head',
  left: 'at the left',
  right: 'at the right',
}

/** Which mark, in which window, where in it. */
export function PutMark({ marks, windows, onPut }: PutMarkProps) {
  const [index, setIndex] = useState(0)
  const [windowIndex, setWindow] = useState(usualWindow(windows, marks[0]))
  const [standing, setStanding] = useState<Standing>()
  const mark = marks[index] ?? marks[0]
  const window = windows[windowIndex] ?? windows[0]
  if (!mark || !window) return null
  const named = (names: readonly string[]) =>
    Object.fromEntries(names.map((name, at) => [String(at), capital(name)]))
  return (
    <div className="grid gap-3">
      <SelectField
        label="What is to show"
        value={String(index)}
        choices={named(marks.map(({ name }) => name))}
        onChange={value => {
          setIndex(Number(value))
          setStanding(undefined)
          setWindow(usualWindow(windows, marks[Number(value)]))
        }}
      />
      <SelectField
        label="On"
        value={String(windowIndex)}
        choices={named(windows.map(({ name }) => name))}
        onChange={value => setWindow(Number(value))}
      />
      <SelectField
        label="Where"
        value={standing ?? usualStanding(mark)}
        choices={
          Object.fromEntries(standings.map(one => [one, standingWords[one]])) as Record<Standing, string>
        }
        onChange={setStanding}
      />
      <div>
        <Button onClick={() => onPut(mark, window, standing ?? usualStanding(mark))}>Put it there</Button>
      </div>
    </div>
  )
}

/** A motif goes on the front, a fold on the spine, a border along the whole piece. */
function usualWindow(windows: readonly PrintWindow[], mark: ClothMark | undefined): number {
  const wanted = mark?.what === 'fold' ? 'spine' : mark?.what === 'border' ? 'the whole piece' : 'front'
  return Math.max(
    0,
    windows.findIndex(({ name }) => name === wanted),
  )
}
