import { useEffect } from 'react'
import { Link } from 'react-router'
import { forgetAnswers } from '../../app/leave-device'
import { Alone } from './Alone'

/** For somebody who signed in and belongs to no workshop, or not any more. */
export default function NoWorkshop() {
  useEffect(() => void forgetAnswers(), [])
  return (
    <Alone title="No workshop">
      <p>
        You belong to no workshop, or not any more to the one in which you were. Whoever invites you to one
        gives you a link: open it here.
      </p>
      <p>
        <Link className="text-thread underline" to="/account">
          Your account
        </Link>{' '}
        stays as it is until you delete it.
      </p>
    </Alone>
  )
}
