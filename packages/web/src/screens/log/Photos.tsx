import { ImageUp, X } from 'lucide-react'
import { v4 as newId } from 'uuid'
import { usePutPhotoMutation } from '../../api/log-api'
import { describeError } from '../../api/describe-error'
import { oneStep } from '../../drafts/draft'
import { FileButton } from '../../parts/FileButton'
import { IconButton } from '../../parts/IconButton'
import { TextField } from '../../parts/TextField'
import type { LogPart } from './log-part'

const mostPhotos = 24

/** Photos of the make. What is none is refused by the server, and nothing is changed. */
export function Photos({ log, change, makeId }: LogPart & { readonly makeId: string }) {
  const [put, { isLoading, error }] = usePutPhotoMutation()
  const add = async (picture: File) => {
    const id = newId()
    const answer = await put({ make: makeId, id, picture })
    if (answer.error) return
    change(oneStep, before => ({ ...before, photos: [...before.photos, { id, caption: '' }] }))
  }
  return (
    <section aria-label="Photos" className="grid gap-3">
      <h4 className="font-semibold">Photos</h4>
      <ul className="grid grid-cols-2 gap-4 empty:hidden sm:grid-cols-3">
        {log.photos.map(({ id, caption }, index) => (
          <li key={id} className="grid content-start gap-2">
            <div className="relative">
              <img
                src={`/api/makes/${makeId}/photos/${id}`}
                alt={caption || `Photo ${index + 1}`}
                className="aspect-4/3 w-full rounded-md object-cover"
              />
              <span className="absolute top-1 right-1 rounded-md bg-ground">
                <IconButton
                  icon={X}
                  label={`Take out photo ${index + 1}`}
                  onClick={() =>
                    change(oneStep, before => ({
                      ...before,
                      photos: before.photos.filter(photo => photo.id !== id),
                    }))
                  }
                />
              </span>
            </div>
            <TextField
              label={`Words to photo ${index + 1}`}
              optional
              value={caption}
              onChange={said =>
                change(`caption ${id}`, before => ({
                  ...before,
                  photos: before.photos.map(photo => (photo.id === id ? { ...photo, caption: said } : photo)),
                }))
              }
            />
          </li>
        ))}
      </ul>
      {log.photos.length < mostPhotos && (
        <div>
          <FileButton
            label="Photo of the make"
            accept="image/jpeg,image/png,image/webp"
            busy={isLoading}
            onFile={picture => void add(picture)}
          >
            <ImageUp className="size-4" aria-hidden /> {isLoading ? 'Sending …' : 'Add a photo'}
          </FileButton>
        </div>
      )}
      {error && (
        <p role="alert" className="text-bad">
          {describeError(error)}
        </p>
      )}
    </section>
  )
}
