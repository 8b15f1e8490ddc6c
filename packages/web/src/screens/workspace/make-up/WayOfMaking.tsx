import { findFamily } from '@snowdrift/core'
import { useRef, useState } from 'react'
import { Button } from '../../../parts/Button'
import { useCover } from '../cover-context'
import { WayChooser } from './WayChooser'
import { difficultyWords } from './way-words'

/** How the cover is made, and the way to another. */
export function WayOfMaking() {
  const { file } = useCover()
  const [choosing, setChoosing] = useState(false)
  const opener = useRef<HTMLButtonElement>(null)
  const chosen = () => {
    setChoosing(false)
    // The row that was pressed is gone with the list.
    opener.current?.focus()
  }
  const family = findFamily(file.family)
  if (!family) return null
  const { name, summary, difficulty, tools } = family.words
  return (
    <section className="grid gap-3" aria-label="Way of making">
      <div className="flex items-start gap-4">
        <div className="flex-1">
          <h3 className="text-lg font-semibold">{name}</h3>
          <p className="text-soft">{summary}</p>
          <p className="text-sm text-soft">
            {difficultyWords[difficulty]}; {tools}.
          </p>
        </div>
        <Button ref={opener} aria-expanded={choosing} onClick={() => setChoosing(!choosing)}>
          {choosing ? 'Keep this way' : 'Other ways of making'}
        </Button>
      </div>
      {choosing && <WayChooser onChosen={chosen} />}
    </section>
  )
}
