import { useAppSelector } from '../app/store'
import type { Draft } from '../drafts/draft'
import { savingWords } from '../drafts/saving-words'

interface SavingStateProps {
  readonly draft: Draft
  readonly className?: string
  /** What is saved, for those who hear it. */
  readonly label?: string
}

/** How the saving of what is worked on stands, in words. */
export function SavingState({ draft, className = '', label = 'Saving' }: SavingStateProps) {
  const keeping = useAppSelector(({ device }) => device.keeping)
  const looksOn = useAppSelector(({ server }) => server.looksOn)
  return (
    <p role="status" aria-label={label} className={`text-sm text-soft ${className}`}>
      {savingWords(draft, keeping, looksOn)}
    </p>
  )
}
