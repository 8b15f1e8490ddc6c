import type { MaterialRow } from '@snowdrift/core'
import { Ruler } from 'lucide-react'
import { Link, useNavigate } from 'react-router'
import { v4 as newId } from 'uuid'
import { useCreateCoverMutation, useMaterialsQuery } from '../../api/api'
import { useCreateMaterialMutation } from '../../api/stash-api'
import { describeError } from '../../api/describe-error'
import { buttonLooks, buttonShape } from '../../parts/Button'
import { lookOf } from '../../views/cloth/look'
import { plannedOf } from '../../views/planned'
import { ClosedCover } from './ClosedCover'
import { samples, type Sample } from './samples'
import { ShelfPlace } from './ShelfPlace'

/** Nothing stands here yet: a book to measure, or something to play with. */
export default function EmptyShelf() {
  return (
    <div className="grid gap-10">
      <div className="max-w-lg border-l-3 border-thread py-2 pl-4">
        <p className="text-lg font-medium">Nothing stands here yet.</p>
        <p className="mt-1 text-soft">
          Take a book and a tape. Say what it is, read its height and how far it is round, and the pieces work
          themselves out.
        </p>
        <Link to="/new" className={`${buttonShape} ${buttonLooks.act} mt-4`}>
          <Ruler className="size-4" aria-hidden /> Measure the book beside you
        </Link>
      </div>
      <section aria-labelledby="to-play-with">
        <h2 id="to-play-with" className="mb-6 text-xl font-semibold">
          Or open one and play with it
        </h2>
        <ul className="flex flex-wrap items-end gap-y-10">
          {samples.map(sample => (
            <OnTrial key={sample.file.name} sample={sample} />
          ))}
        </ul>
      </section>
    </div>
  )
}

function OnTrial({ sample }: { readonly sample: Sample }) {
  const { file, materials } = sample
  const { data: known } = useMaterialsQuery()
  const [createMaterial] = useCreateMaterialMutation()
  const [createCover, { error, isLoading }] = useCreateCoverMutation()
  const navigate = useNavigate()
  const open = async () => {
    // Its cloths come into the stash with it, but not beside ones of the same name.
    const names = new Set(known?.map(({ material }) => material.name))
    for (const body of materials) if (!names.has(body.material.name)) await createMaterial(body)
    const made = await createCover({ id: newId(), body: { thingId: null, file } })
    if (made.data) await navigate(`/covers/${made.data.id}`)
  }
  return (
    <ShelfPlace picture={<ClosedCover planned={plannedOf(file)} cloth={lookOfSample(sample)} />}>
      <button
        type="button"
        className="text-left font-semibold underline-offset-2 after:absolute after:inset-0 hover:underline"
        disabled={isLoading}
        onClick={() => void open()}
      >
        {file.name}
      </button>
      {error && (
        <p role="alert" className="text-sm text-bad">
          {describeError(error)}
        </p>
      )}
    </ShelfPlace>
  )
}

function lookOfSample({ materials: [outer] }: Sample) {
  if (!outer) return undefined
  const row: MaterialRow = { ...outer, id: outer.material.name, version: 1, updatedAt: '', picture: 0 }
  return lookOf(row)
}
