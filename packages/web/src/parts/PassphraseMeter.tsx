import { shortestPassphrase } from '@snowdrift/core'
import { useStrength } from './use-strength'

interface PassphraseMeterProps {
  readonly passphrase: string
  /** What others know of whoever chooses it. */
  readonly own: readonly string[]
}

/** By score, from 0. */
const words = ['Guessed at once', 'Guessed soon', 'Guessed with patience', 'Good', 'Very good']

/** How well a passphrase withstands guessing, while it is chosen: in words, and as a bar that says the same. */
export function PassphraseMeter({ passphrase, own }: PassphraseMeterProps) {
  const strength = useStrength(passphrase, own)
  const more = shortestPassphrase - passphrase.length
  const filled = strength ? strength.score + 1 : 0
  return (
    <div className="mt-1 flex items-center gap-2 text-sm">
      <span className="flex flex-1 gap-1" aria-hidden>
        {words.map((_, step) => (
          <span
            key={step}
            className={`h-1 flex-1 rounded-sm ${step >= filled ? 'bg-rule' : strength?.isEnough ? 'bg-good' : 'bg-caution'}`}
          />
        ))}
      </span>
      <span role="status" className="min-w-44 text-soft">
        {strength && words[strength.score]}
        {passphrase !== '' && more > 0 && `${more} more ${more === 1 ? 'sign' : 'signs'} at least`}
      </span>
    </div>
  )
}
