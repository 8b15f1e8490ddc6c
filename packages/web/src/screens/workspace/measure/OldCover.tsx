import { findFamily, mm, zero, type CoverFile, type LengthRange } from '@snowdrift/core'
import { LengthField } from '../../../parts/LengthField'
import { Unfold } from '../../../parts/Unfold'
import { useCover } from '../cover-context'

type Old = NonNullable<CoverFile['oldCover']>
type Direction = keyof Old
type Size = NonNullable<Old[Direction]>

const finishedRange: LengthRange = { min: mm(20), max: mm(3000) }
const easeRange: LengthRange = { min: zero, max: mm(150) }

/** An old cover that fits stands for the thing: what it measures, and the room in it that one likes. */
export function OldCover() {
  const { file, unit } = useCover()
  const family = findFamily(file.family)
  if (!family?.besideOldCover) return null
  const usual = family.defaultEase(unit)
  return (
    <Unfold
      data-old-cover
      summary="An old cover fits? Measure it instead"
      startsOpen={file.oldCover !== undefined}
    >
      {() => (
        <div className="mt-3 grid gap-4">
          <p className="text-soft">
            Lay it flat, flaps opened out, and measure from seam to seam. The new one is made to the same
            size, whatever the readings of the thing say.
          </p>
          <Sizes direction="width" label="Across, seam to seam" usual={usual.width} />
          <Sizes direction="height" label="Top to bottom, seam to seam" usual={usual.height} />
        </div>
      )}
    </Unfold>
  )
}

interface SizesProps {
  readonly direction: Direction
  readonly label: string
  readonly usual: ReturnType<NonNullable<ReturnType<typeof findFamily>>['defaultEase']>['width']
}

function Sizes({ direction, label, usual }: SizesProps) {
  const { file, unit, division, change } = useCover()
  const size = file.oldCover?.[direction]
  const set = (key: string, next: Size | undefined) =>
    change(key, current => withOldSize(current, direction, next))
  return (
    <div className="flex flex-wrap gap-4">
      <LengthField
        label={label}
        unit={unit}
        value={size?.finished}
        range={finishedRange}
        division={division}
        onChange={typed =>
          set(`old-${direction}`, typed === undefined ? undefined : { ...size, finished: typed })
        }
      />
      {size && (
        <LengthField
          label="Room in it"
          help="How loose it sits, as you like it."
          unit={unit}
          value={size.ease}
          fallback={usual}
          range={easeRange}
          division={division}
          onChange={typed => {
            const { ease: _before, ...finished } = size
            set(`old-ease-${direction}`, typed === undefined ? finished : { ...finished, ease: typed })
          }}
        />
      )}
    </div>
  )
}

/** The file with one size of the old cover; without any, it is measured no more. */
function withOldSize(
  { oldCover: before, ...file }: CoverFile,
  direction: Direction,
  size: Size | undefined,
): CoverFile {
  const { [direction]: _size, ...others } = before ?? {}
  const oldCover: Old = size ? { ...others, [direction]: size } : others
  return Object.keys(oldCover).length > 0 ? { ...file, oldCover } : file
}
