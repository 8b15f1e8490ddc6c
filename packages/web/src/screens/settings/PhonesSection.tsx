import {
  formatPairingCode,
  pairingLink,
  type PairedDevice,
  type PairingCode,
  type Sharing,
} from '@snowdrift/core'
import { Smartphone } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import { useHereQuery } from '../../api/api'
import {
  useDevicesQuery,
  useSendAwayMutation,
  useShareMutation,
  useShowCodeMutation,
} from '../../api/devices-api'
import { Button } from '../../parts/Button'
import { CheckField } from '../../parts/CheckField'
import { timeWords } from '../../views/moment-words'
import { seenWords } from './device-words'
import { ThisDevice } from './ThisDevice'
import { Trouble } from '../../parts/Trouble'

const CodePicture = lazy(() => import('./CodePicture'))

/** Phones and tablets at the table: at the machine itself all of them, on one of them itself. */
export function PhonesSection() {
  const { data: here } = useHereQuery()
  return (
    <section className="grid gap-4" aria-labelledby="phones">
      <h2 id="phones" className="text-xl font-semibold">
        Phones and tablets
      </h2>
      {here && (here.device ? <ThisDevice device={here.device} /> : <OtherDevices />)}
    </section>
  )
}

function OtherDevices() {
  const { data, error } = useDevicesQuery()
  const [share, sharing] = useShareMutation()
  const trouble = error ?? sharing.error
  return (
    <>
      <p className="text-soft">
        One that leans on the sewing machine shows the same workshop, and what is changed on the one is seen
        on the other. Each is let in with a code of its own.
      </p>
      {data && (
        <CheckField
          label="Let others in this network reach Snowdrift"
          checked={data.sharing.isOn}
          disabled={sharing.isLoading}
          onChange={isOn => void share({ isOn })}
        />
      )}
      <Trouble error={trouble} />
      {data?.sharing.isOn && <NewDevice sharing={data.sharing} devices={data.items} />}
      {data && data.items.length > 0 && <KnownDevices devices={data.items} />}
    </>
  )
}

interface NewDeviceProps {
  readonly sharing: Sharing
  readonly devices: readonly PairedDevice[]
}

function NewDevice({ sharing: { addresses, isSealed }, devices }: NewDeviceProps) {
  const [showCode, { data: code, isLoading, error }] = useShowCodeMutation()
  const [known, setKnown] = useState<ReadonlySet<string>>(new Set())
  const [address] = addresses
  if (address === undefined)
    return (
      <p role="alert" className="border-l-3 border-caution pl-3">
        This machine is in no network. Join one, then look here again.
      </p>
    )
  const come = code && devices.find(({ id }) => !known.has(id))
  const show = () => {
    setKnown(new Set(devices.map(({ id }) => id)))
    void showCode()
  }
  return (
    <div className="grid gap-4">
      {code && !come ? (
        <Invitation addresses={addresses} code={code} />
      ) : (
        <p>
          They find it at <Address text={address} />.
        </p>
      )}
      {come && (
        <p role="status" className="border-l-3 border-good pl-3">
          “{come.name}” is let in.
        </p>
      )}
      <Trouble error={error} />
      <div>
        <Button look={code && !come ? 'plain' : 'act'} disabled={isLoading} onClick={show}>
          <Smartphone className="size-4" aria-hidden />
          {code ? (come ? 'Let another in' : 'Show another code') : 'Let one in'}
        </Button>
      </div>
      {!isSealed && (
        <p className="text-sm text-soft">
          What goes to and fro can be read by others in this network. With a certificate of your own it
          cannot; the README says how.
        </p>
      )}
    </div>
  )
}

interface InvitationProps {
  readonly addresses: readonly string[]
  readonly code: PairingCode
}

function Invitation({ addresses, code }: InvitationProps) {
  const [address = '', ...more] = addresses
  return (
    <div className="flex flex-wrap items-center gap-6">
      <Suspense fallback={<div className="size-44" />}>
        <CodePicture text={pairingLink(address, code)} />
      </Suspense>
      <div className="grid min-w-0 flex-1 basis-48 gap-2">
        <p>Point its camera at the picture, or open</p>
        <p>
          <Address text={address} />
        </p>
        <p>there and type</p>
        <p className="text-3xl font-semibold tracking-wide tabular-nums" data-pairing-code={code.code}>
          {formatPairingCode(code.code)}
        </p>
        <p className="text-sm text-soft">
          Once, until {timeWords(code.expiresAt)}.
          {more.length > 0 && <> It has other addresses, too: {more.join(', ')}.</>}
        </p>
      </div>
    </div>
  )
}

function Address({ text }: { readonly text: string }) {
  return <span className="font-medium break-all">{text}</span>
}

function KnownDevices({ devices }: { readonly devices: readonly PairedDevice[] }) {
  const [sendAway, { isLoading, error }] = useSendAwayMutation()
  return (
    <div className="grid gap-2">
      <ul aria-label="Devices that are let in" className="grid">
        {devices.map(device => (
          <li key={device.id} className="flex flex-wrap items-center gap-x-4 border-t border-rule py-2">
            <span className="min-w-0 flex-1">
              <bdi className="font-medium">{device.name}</bdi>
              <span className="block text-sm text-soft">{seenWords(device, new Date())}</span>
            </span>
            <Button
              look="quiet"
              disabled={isLoading}
              aria-label={`Send away: ${device.name}`}
              onClick={() => void sendAway(device.id)}
            >
              Send away
            </Button>
          </li>
        ))}
      </ul>
      <Trouble error={error} />
    </div>
  )
}
