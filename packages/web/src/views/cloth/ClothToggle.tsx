import { useCallback } from 'react'
import { showCloth } from '../../app/cloth-slice'
import { useAppDispatch, useAppSelector } from '../../app/store'
import { Toggle } from '../../parts/Toggle'

/** The one switch between cloth and lines, for every picture. */
export function ClothToggle() {
  const shown = useAppSelector(state => state.cloth.shown)
  const dispatch = useAppDispatch()
  const choose = useCallback((chosen: Drawn) => dispatch(showCloth(chosen === 'cloth')), [dispatch])
  return <Toggle label="Drawn as" value={shown ? 'cloth' : 'lines'} choices={drawnWords} onChange={choose} />
}

type Drawn = 'cloth' | 'lines'

const drawnWords: Readonly<Record<Drawn, string>> = { cloth: 'Cloth', lines: 'Lines' }
