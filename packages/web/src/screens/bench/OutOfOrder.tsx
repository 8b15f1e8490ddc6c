import type { Step } from '@snowdrift/core'
import { Button } from '../../parts/Button'
import { Fractions } from '../../parts/Fractions'
import { Modal } from '../../parts/Modal'
import { PracticeLink } from './PracticeLink'

interface OutOfOrderProps {
  readonly missing: readonly Step[]
  readonly onAllDone: () => void
  readonly onOnlyThis: () => void
  readonly onClose: () => void
}

/** A step done before what comes first is asked about, not silently taken. */
export function OutOfOrder({ missing, onAllDone, onOnlyThis, onClose }: OutOfOrderProps) {
  const answer = (act: () => void) => () => {
    onClose()
    act()
  }
  return (
    <Modal title="Something comes first" open onClose={onClose}>
      <div className="grid gap-4">
        <p>Before this one the plan has:</p>
        <ul className="list-disc pl-6">
          {missing.map(({ id, name }) => (
            <li key={id}>
              <Fractions text={name} />
            </li>
          ))}
        </ul>
        <div className="grid gap-2">
          <Button look="act" onClick={answer(onAllDone)}>
            That is done, too
          </Button>
          <Button onClick={answer(onOnlyThis)}>Only this one is done</Button>
          <Button look="quiet" onClick={onClose}>
            Not yet
          </Button>
        </div>
        <PracticeLink of="order" />
      </div>
    </Modal>
  )
}
