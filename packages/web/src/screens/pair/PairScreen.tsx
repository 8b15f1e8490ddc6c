import { formatPairingCode, parsePairingCode } from '@snowdrift/core'
import { useEffect, useState, type SubmitEvent } from 'react'
import { usePairMutation } from '../../api/devices-api'
import { forgetAnswers } from '../../app/leave-device'
import { Button } from '../../parts/Button'
import { controlLook, Field } from '../../parts/Field'
import { usePageTitle } from '../../views/use-page-title'
import { guessDeviceName } from './guess-device-name'
import { Trouble } from '../../parts/Trouble'

/** Where a phone or tablet is let in, by the code that the machine shows on which Snowdrift runs. */
export function Screen() {
  usePageTitle('Let this device in')
  const [code, setCode] = useState(codeInAddress)
  const [name, setName] = useState(() => guessDeviceName(navigator.userAgent))
  const [pair, { isLoading, error }] = usePairMutation()
  // Whoever is not let in, or not any more, keeps nothing of what was shown.
  useEffect(() => void forgetAnswers(), [])
  const isReady = parsePairingCode(code) !== undefined && name.trim() !== ''
  const send = async (event: SubmitEvent) => {
    event.preventDefault()
    const { data } = await pair({ code, name })
    // A new beginning: nothing is left of what could not be read before.
    if (data) location.replace('/')
  }
  return (
    <main className="mx-auto grid w-full max-w-md content-start gap-6 px-4 py-8">
      <div className="grid gap-2">
        <h1 className="text-2xl font-semibold tracking-tight">Let this device in</h1>
        <p className="text-soft">
          At the machine on which Snowdrift runs open Settings, then “Phones and tablets”: it shows a code.
        </p>
      </div>
      <form className="grid gap-5" onSubmit={event => void send(event)}>
        <Field label="Code" help="Eight letters and digits; it holds for ten minutes, and once.">
          {({ id, describedBy }) => (
            <input
              id={id}
              aria-describedby={describedBy}
              className={`${controlLook} py-2 text-2xl tracking-wide uppercase`}
              autoFocus
              autoComplete="off"
              autoCapitalize="characters"
              spellCheck={false}
              maxLength={12}
              value={code}
              onChange={event => setCode(event.target.value)}
            />
          )}
        </Field>
        <Field label="Name of this device" help="By which it is told from others, and sent away if need be.">
          {({ id, describedBy }) => (
            <input
              id={id}
              aria-describedby={describedBy}
              className={controlLook}
              maxLength={60}
              value={name}
              onChange={event => setName(event.target.value)}
            />
          )}
        </Field>
        <Trouble error={error} />
        <Button look="act" type="submit" disabled={!isReady || isLoading} className="min-h-11">
          Let it in
        </Button>
      </form>
    </main>
  )
}

/** Whoever followed the picture brings the code behind the #, where no server sees it. */
function codeInAddress(): string {
  const code = parsePairingCode(decodeURIComponent(location.hash.slice(1)))
  return code === undefined ? '' : formatPairingCode(code)
}
