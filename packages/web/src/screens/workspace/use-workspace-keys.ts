import { useEffect } from 'react'
import { useNavigate } from 'react-router'
import { isTyping } from '../../app/shortcuts'
import { useAppDispatch } from '../../app/store'
import { redone, undone } from '../../drafts/drafts-slice'
import { refOf } from '../../drafts/kinds'
import { stations } from './stations'

/** Undo and redo, the stations by number, and the cutting list. */
export function useWorkspaceKeys(id: string): void {
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase()
      if ((event.ctrlKey || event.metaKey) && (key === 'z' || key === 'y')) {
        event.preventDefault()
        dispatch(key === 'y' || event.shiftKey ? redone(refOf('cover', id)) : undone(refOf('cover', id)))
        return
      }
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event)) return
      if (key === 'p') void navigate(`/covers/${id}/cutting-list`)
      const station = stations[Number(key) - 1]
      if (station) void navigate(`/covers/${id}/${station}`)
    }
    addEventListener('keydown', press)
    return () => removeEventListener('keydown', press)
  }, [dispatch, id, navigate])
}
