import { useMakeCodesMutation } from '../../api/people-api'
import { Button } from '../../parts/Button'
import { Trouble } from '../../parts/Trouble'
import { RecoveryCodes } from '../enter/RecoveryCodes'
import { codesLeftWords } from './account-words'
import { Section } from './Section'
import { isUnconfirmed, type useConfirmed } from './use-confirmed'

interface CodesSectionProps {
  readonly left: number
  readonly run: ReturnType<typeof useConfirmed>['run']
}

/** The codes for when all else is lost. */
export function CodesSection({ left, run }: CodesSectionProps) {
  const [make, { data, isLoading, error }] = useMakeCodesMutation()
  return (
    <Section title="Recovery codes">
      {data ? <RecoveryCodes codes={data.codes} /> : <p className="text-soft">{codesLeftWords(left)}</p>}
      {!isUnconfirmed(error) && <Trouble error={error} />}
      <div>
        <Button disabled={isLoading} onClick={() => void run(() => make())}>
          Make new ones
        </Button>
      </div>
    </Section>
  )
}
