import type { PairedDevice } from '@snowdrift/core'
import { useState } from 'react'
import { useSendAwayMutation } from '../../api/devices-api'
import { LeaveDialog } from '../../app/LeaveDialog'
import { Button } from '../../parts/Button'

/** A device about itself: what it is called, what its address does not allow it, and how it leaves. */
export function ThisDevice({ device }: { readonly device: PairedDevice }) {
  const [asks, setAsks] = useState(false)
  const [sendAway] = useSendAwayMutation()
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
      {asks && (
        <LeaveDialog
          title="Leave with this device"
          words="To come in again it needs a new code."
          act="Leave"
          letGo={() => sendAway(device.id)}
          to="/pair"
          onClose={() => setAsks(false)}
        />
      )}
    </>
  )
}
