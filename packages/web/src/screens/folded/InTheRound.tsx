import { areaOnFlat, outlookAt, placeLeaves, toMm, type Folded, type PlacedLeaf } from '@snowdrift/core'
import { Canvas } from '@react-three/fiber'
import { useMemo, useRef, useState } from 'react'
import { useClothLooks } from '../../views/cloth/use-cloth-looks'
import type { ClothLooks } from '../../views/cloth/cloth-looks'
import type { ClothLook } from '../../views/cloth/look'
import type { RoundDrawing } from './can-draw'
import { LeafMesh } from './LeafMesh'
import { Looking } from './Looking'
import { PatternSheet } from './PatternSheet'
import type { PrintCorner } from './repeat'
import { useClothTextures } from './use-cloth-textures'
import { useResolution } from './use-resolution'
import { readFillColours } from './fill-colours'

interface InTheRoundProps {
  readonly folded: Folded
  readonly time: number
  readonly mirrored: boolean
  readonly drawing: RoundDrawing
}

/** The leaves at one moment, in their cloths, from whichever side one likes. A chunk of its own, fetched when asked for. */
export default function InTheRound({ folded, time, mirrored, drawing }: InTheRoundProps) {
  const resolution = useResolution(time, drawing)
  const sheet = useRef<HTMLDivElement>(null)
  const looksIn = useClothLooks()
  const looks = useMemo(() => {
    const all = folded.leaves.flatMap(({ piece, inside, outside }) =>
      [inside, outside].flatMap(fill => looksIn?.(piece, fill) ?? []),
    )
    return [...new Map(all.map(look => [look.key, look])).values()] satisfies readonly ClothLook[]
  }, [folded, looksIn])
  const textures = useClothTextures(looks, sheet)
  const prints = useMemo(() => printsOf(folded, looksIn), [folded, looksIn])
  const [colours] = useState(readFillColours)
  const placed = placeLeaves(folded, time, { all: true })
  const { middle, reach } = outlookAt(folded, time)
  // The eye stays where it is; what it looks at is drawn as large as there is room.
  const size = 100 / reach
  return (
    <>
      <PatternSheet ref={sheet} looks={looks} />
      <Canvas
        className="!absolute inset-0"
        frameloop="demand"
        dpr={resolution}
        gl={{ antialias: drawing === 'card', alpha: false }}
        camera={{ fov: 28, near: 5, far: 2000 }}
      >
        <color attach="background" args={[colours.ground]} />
        <Looking reach={100} />
        <group
          scale={[mirrored ? -size : size, size, size]}
          position={[(mirrored ? size : -size) * middle[0], -size * middle[1], -size * middle[2]]}
        >
          {placed.map(one => (
            <LeafMesh
              key={one.leaf.id}
              placed={one}
              insideLook={textureFor(one, one.leaf.inside)}
              outsideLook={textureFor(one, one.leaf.outside)}
              print={prints.get(one.leaf.id)}
              colours={colours}
            />
          ))}
        </group>
      </Canvas>
    </>
  )

  function textureFor({ leaf }: PlacedLeaf, fill: PlacedLeaf['leaf']['inside']) {
    const look = looksIn?.(leaf.piece, fill)
    return look && textures.get(look.key)
  }
}

/** By leaf, which place of its cloth is at the top left corner of its outside, where a piece was laid on a print. */
function printsOf({ leaves }: Folded, looksIn: ClothLooks | undefined): ReadonlyMap<string, PrintCorner> {
  return new Map(
    leaves.flatMap(leaf => {
      const area = areaOnFlat(leaf)
      const from = area && looksIn?.(leaf.piece, leaf.outside, area)?.from
      if (!from) return []
      return [[leaf.id, [toMm(area.start[0]) - from[0], toMm(area.start[1]) - from[1]]] as const]
    }),
  )
}
