import { showCloth } from '../../app/cloth-slice'
import { useAppDispatch, useAppSelector } from '../../app/store'
import { Toggle } from '../../parts/Toggle'

/** The one switch between cloth and lines, for every picture. */
export function ClothToggle() {
  const shown = useAppSelector(state => state.cloth.shown)
  const dispatch = useAppDispatch()
  return (
    <Toggle
      label="Drawn as"
      value={shown ? 'cloth' : 'lines'}
      choices={{ cloth: 'Cloth', lines: 'Lines' }}
      onChange={chosen => dispatch(showCloth(chosen === 'cloth'))}
    />
  )
}
