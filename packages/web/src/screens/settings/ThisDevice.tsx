import type { PairedDevice } from '@snowdrift/core'
import { useState } from 'react'
import { useSendAwayMutation } from '../../api/devices-api'
import { leaveDevice } from '../../app/leave-device'
import { useAppSelector } from '../../app/store'
import { Button } from '../../parts/Button'
import { Modal } from '../../parts/Modal'
import { Trouble } from '../../parts/Trouble'

/** A device about itself: what it is called, what its address does not allow it, and how it leaves. */
export function ThisDevice({ device }: { readonly device: PairedDevice }) {
  const [asks, setAsks] = useState(false)
  return (
    <>
      <p>
        This one is let in as “<bdi>{device.name}</bdi>”. Others are let in, and sent away, at the machine on
        which Snowdrift runs.
      </p>
      {!isSecureContext && (
        <p className="text-sm text-soft">
          Its address is not sealed: others in the network can read what goes to and fro, and the browser
          keeps no copy of Snowdrift, which therefore opens only while that machine can be reached. What you
          change is kept here all the same until it is saved.
        </p>
      )}
      <div>
        <Button onClick={() => setAsks(true)}>Leave with this device …</Button>
      </div>
      {asks && <Leave device={device} onClose={() => setAsks(false)} />}
    </>
  )
}

interface LeaveProps {
  readonly device: PairedDevice
  readonly onClose: () => void
}

function Leave({ device, onClose }: LeaveProps) {
  const unsaved = useAppSelector(
    ({ drafts }) => Object.values(drafts).filter(draft => draft?.dirty || draft?.pending).length,
  )
  const [sendAway, { isLoading, error }] = useSendAwayMutation()
  const leave = async () => {
    const { error: refused } = await sendAway(device.id)
    if (refused) return
    await leaveDevice()
    location.replace('/pair')
  }
  return (
    <Modal title="Leave with this device" open onClose={onClose}>
      <div className="grid gap-4">
        <p>Everything that it keeps of the workshop is taken off it. To come in again it needs a new code.</p>
        {unsaved > 0 && (
          <Trouble>
            {unsaved === 1 ? 'Something' : `${unsaved} things`} changed here {unsaved === 1 ? 'is' : 'are'}{' '}
            not saved yet, and would be lost.
          </Trouble>
        )}
        <Trouble error={error} />
        <div className="flex gap-3">
          <Button look={unsaved > 0 ? 'plain' : 'act'} disabled={isLoading} onClick={() => void leave()}>
            Leave
          </Button>
          <Button look="quiet" onClick={onClose}>
            Stay
          </Button>
        </div>
      </div>
    </Modal>
  )
}
