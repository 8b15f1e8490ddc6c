import { ImageUp } from 'lucide-react'
import { usePutPictureMutation } from '../../api/stash-api'
import { describeError } from '../../api/describe-error'
import { FileButton } from '../../parts/FileButton'

/** Takes a photograph of a material; it is shown instead of its swatch. */
export function PictureButton({ id }: { readonly id: string }) {
  const [put, { error, isLoading }] = usePutPictureMutation()
  return (
    <>
      <FileButton
        label="Picture of the material"
        accept="image/jpeg,image/png,image/webp"
        busy={isLoading}
        onFile={picture => void put({ id, picture })}
      >
        <ImageUp className="size-4" aria-hidden /> {isLoading ? 'Sending …' : 'A picture of it'}
      </FileButton>
      {error && (
        <p role="alert" className="basis-full text-bad">
          {describeError(error)}
        </p>
      )}
    </>
  )
}
