import { useState } from 'react'
import { Button } from '../parts/Button'
import { Modal } from '../parts/Modal'
import { Trouble } from '../parts/Trouble'
import { leaveDevice } from './leave-device'
import { useAppSelector } from './store'

interface LeaveDialogProps {
  readonly title: string
  /** What is said beside that everything goes from the device. */
  readonly words?: string
  /** What leaving is called on its button. */
  readonly act: string
  /** Has the server let whoever leaves go. */
  readonly letGo: () => Promise<{ readonly error?: unknown }>
  /** Where they are afterwards. */
  readonly to: string
  readonly onClose: () => void
}

/** Asks before somebody leaves with a device: what it keeps goes, and what is not saved yet would be lost. */
export function LeaveDialog({ title, words, act, letGo, to, onClose }: LeaveDialogProps) {
  const unsaved = useAppSelector(
    ({ drafts }) => Object.values(drafts).filter(draft => draft?.dirty || draft?.pending).length,
  )
  const [isLeaving, setLeaving] = useState(false)
  const [error, setError] = useState<unknown>()
  const leave = async () => {
    setLeaving(true)
    const answer = await letGo()
    setError(answer.error)
    if (answer.error) return setLeaving(false)
    await leaveDevice()
    location.replace(to)
  }
  return (
    <Modal title={title} open onClose={onClose}>
      <div className="grid gap-4">
        <p>Everything that this device keeps of the workshop is taken off it.{words && ` ${words}`}</p>
        {unsaved > 0 && (
          <Trouble>
            {unsaved === 1 ? 'Something' : `${unsaved} things`} changed here {unsaved === 1 ? 'is' : 'are'}{' '}
            not saved yet, and would be lost.
          </Trouble>
        )}
        <Trouble error={error} />
        <div className="flex gap-3">
          <Button look={unsaved > 0 ? 'plain' : 'act'} disabled={isLeaving} onClick={() => void leave()}>
            {act}
          </Button>
          <Button look="quiet" onClick={onClose}>
            Stay
          </Button>
        </div>
      </div>
    </Modal>
  )
}
