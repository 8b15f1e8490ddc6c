import { describeChoice, sayPlace, type CoverFile } from '@snowdrift/core'
import { Fractions } from '../parts/Fractions'
import type { Planned } from './planned'
import { typeset } from './typeset'

interface StillMissingProps {
  readonly file: CoverFile
  readonly planned: Planned
  readonly className?: string
}

/** What keeps a cover from being planned: what stands where nobody can read it, and what is still to be measured. */
export function StillMissing({ file, planned, className = '' }: StillMissingProps) {
  const { missing, issues } = planned
  return (
    <div className={`grid gap-2 ${className}`} data-still-missing>
      {issues.length > 0 && (
        <ul className="grid gap-1">
          {issues.map(({ path, message }) => (
            <li key={path}>
              <strong className="font-medium">{sayPlace(file, path)}:</strong>{' '}
              <span className="text-bad">
                <Fractions text={typeset(message)} />
              </span>
            </li>
          ))}
        </ul>
      )}
      {missing.length > 0 && (
        <>
          <p className="text-soft">Still to measure:</p>
          <ul className="list-disc pl-5 text-soft">
            {missing.map(choice => (
              <li key={describeChoice(choice)}>{describeChoice(choice)}</li>
            ))}
          </ul>
        </>
      )}
    </div>
  )
}
