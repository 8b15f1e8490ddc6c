import { formatIssue, readDraft, type CoverFile } from '@snowdrift/core'
import { FileInput } from 'lucide-react'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { v4 as newId } from 'uuid'
import { useCreateCoverMutation } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { FileButton } from '../../parts/FileButton'

const mostBytes = 200_000

/** Puts a cover file on the shelf; what is wrong with it is said, place by place. */
export function ImportCover() {
  const [problems, setProblems] = useState<readonly string[]>([])
  const [createCover, { isLoading }] = useCreateCoverMutation()
  const navigate = useNavigate()

  const take = async (file: File) => {
    const read = await readFile(file)
    if (!read.ok) return setProblems(read.problems)
    const created = await createCover({ id: newId(), body: { thingId: null, file: read.cover } })
    if (created.error) return setProblems([describeError(created.error)])
    setProblems([])
    await navigate(`/covers/${created.data.id}`)
  }

  return (
    <>
      <FileButton
        label="Cover file"
        accept="application/json,.json"
        busy={isLoading}
        onFile={file => void take(file)}
      >
        <FileInput className="size-4" aria-hidden /> Import a cover file
      </FileButton>
      {problems.length > 0 && (
        <div role="alert" className="basis-full border-l-3 border-bad pl-3">
          <p className="font-medium">The file was not taken:</p>
          <ul className="list-disc pl-5">
            {problems.map(problem => (
              <li key={problem}>{problem}</li>
            ))}
          </ul>
        </div>
      )}
    </>
  )
}

type ReadFile =
  | { readonly ok: true; readonly cover: CoverFile }
  | { readonly ok: false; readonly problems: readonly string[] }

async function readFile(file: File): Promise<ReadFile> {
  if (file.size > mostBytes)
    return { ok: false, problems: [`${file.name} is larger than a cover file can be (200 kB).`] }
  const json = await file
    .text()
    .then(text => ({ value: JSON.parse(text) as unknown }))
    .catch(() => undefined)
  if (!json) return { ok: false, problems: [`${file.name} is not JSON.`] }
  const draft = readDraft(json.value)
  if (!draft.ok) return { ok: false, problems: draft.issues.map(formatIssue) }
  return { ok: true, cover: json.value as CoverFile }
}
