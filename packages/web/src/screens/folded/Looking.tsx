import { useThree } from '@react-three/fiber'
import { useEffect } from 'react'
import { OrbitControls } from 'three/addons/controls/OrbitControls.js'

/** How far the eye is, in reaches of what it looks at: all of it is in sight. */
const away = 4.1

/** The eye: from the front, a little from the left, from above; a drag goes round, a wheel or two fingers nearer. */
export function Looking({ reach }: { readonly reach: number }) {
  const { camera, gl, invalidate } = useThree()
  useEffect(() => {
    camera.up.set(0, 0, 1)
    camera.position.set(-0.32 * away * reach, -0.7 * away * reach, 0.64 * away * reach)
    const controls = new OrbitControls(camera, gl.domElement)
    controls.minDistance = reach / 2
    controls.maxDistance = reach * 8
    controls.enableDamping = false
    const redraw = () => invalidate()
    controls.addEventListener('change', redraw)
    controls.update()
    invalidate()
    return () => controls.dispose()
  }, [camera, gl, invalidate, reach])
  return null
}
