import { toMm, type Leaf, type PlacedLeaf } from '@snowdrift/core'
import { memo, useEffect, useMemo } from 'react'
import {
  BoxGeometry,
  BufferGeometry,
  Color,
  EdgesGeometry,
  Float32BufferAttribute,
  Matrix4,
  Quaternion,
  Vector3,
} from 'three'
import type { ClothTexture } from './use-cloth-textures'
import type { FillColours } from './fill-colours'
import { inRepeats, type PrintCorner } from './repeat'

interface LeafMeshProps {
  readonly placed: PlacedLeaf
  readonly insideLook: ClothTexture | undefined
  readonly outsideLook: ClothTexture | undefined
  /** Which place of its cloth is at the top left corner of its outside; any where that is not known. */
  readonly print: PrintCorner | undefined
  readonly colours: FillColours
}

/** The faces of a box in their order; its inside looks up, its outside down. */
const [insideFace, outsideFace] = [4, 5]

const groups = [
  [0, 24, 0],
  [24, 6, 1],
  [30, 6, 2],
] as const

/** One leaf where it is, each side in its cloth at true scale. */
export function LeafMesh({ placed, insideLook, outsideLook, print, colours }: LeafMeshProps) {
  const { leaf, at, right, up, inside, shown } = placed
  const turned = new Quaternion().setFromRotationMatrix(
    new Matrix4().makeBasis(new Vector3(...right), new Vector3(...up), new Vector3(...inside)),
  )
  return (
    <group position={[...at]} quaternion={turned} visible={shown > 0}>
      <Box
        leaf={leaf}
        insideLook={insideLook}
        outsideLook={outsideLook}
        print={print}
        colours={colours}
        shown={shown}
        light={lightOn(inside)}
      />
      {leaf.stitches.length > 0 && shown > 0.9 && <Seam leaf={leaf} colours={colours} />}
    </group>
  )
}

interface BoxProps extends Omit<LeafMeshProps, 'placed'> {
  readonly leaf: Leaf
  readonly shown: number
  /** How bright its inside and its outside are. */
  readonly light: Light
}

interface Light {
  readonly inside: number
  readonly outside: number
}

const lamp = [-0.35, -0.45, 0.82] as const

/** Light from above, in steps, so that a leaf is coloured anew only as it turns. */
function lightOn(inside: PlacedLeaf['inside']): Light {
  const towards = inside.reduce((sum, part, axis) => sum + part * (lamp[axis] ?? 0), 0)
  const bright = (share: number) => Math.round((0.8 + 0.2 * Math.max(0, share)) * 50) / 50
  return { inside: bright(towards), outside: bright(-towards) }
}

/** Narrow sides, whichever way they look. */
const sideLight = 0.78

const Box = memo(function Box({ leaf, insideLook, outsideLook, print, colours, shown, light }: BoxProps) {
  const { box, edges } = useMemo(
    () => shapeOf(leaf, insideLook, outsideLook, print),
    [leaf, insideLook, outsideLook, print],
  )
  useEffect(
    () => () => {
      box.dispose()
      edges.dispose()
    },
    [box, edges],
  )
  const edge = leaf.piece === undefined ? colours.leaves : colours[leaf.outside]
  const isFading = shown > 0 && shown < 1
  const see = { transparent: isFading, opacity: shown }
  const sides = [0, insideFace, outsideFace].map(face => {
    const look = face === insideFace ? insideLook : face === outsideFace ? outsideLook : undefined
    const fill =
      face === insideFace ? colours[leaf.inside] : face === outsideFace ? colours[leaf.outside] : edge
    const bright = face === insideFace ? light.inside : face === outsideFace ? light.outside : sideLight
    return (
      <meshBasicMaterial
        // a material that gets a picture, or begins to fade, is another one
        key={`${face} ${look ? 'cloth' : 'plain'} ${isFading}`}
        attach={`material-${face === 0 ? 0 : face - 3}`}
        color={new Color(look ? '#ffffff' : fill).multiplyScalar(bright)}
        map={look?.map ?? null}
        {...see}
      />
    )
  })
  return (
    <>
      <mesh geometry={box}>{sides}</mesh>
      <lineSegments geometry={edges}>
        <lineBasicMaterial key={`${isFading}`} color={colours.ink} {...see} />
      </lineSegments>
    </>
  )
}, isSameBox)

function isSameBox({ light, ...one }: BoxProps, { light: otherLight, ...other }: BoxProps): boolean {
  const isLit = light.inside === otherLight.inside && light.outside === otherLight.outside
  return isLit && (Object.keys(one) as (keyof typeof one)[]).every(key => one[key] === other[key])
}

/**
 * A box with its lower left corner of the inside at nought, its cloths running on from there in millimetres; that of its
 * outside from the place where its piece was laid.
 */
function shapeOf(
  { width, height, thickness }: Leaf,
  insideLook: ClothTexture | undefined,
  outsideLook: ClothTexture | undefined,
  print: PrintCorner | undefined,
) {
  const [wide, high, thick] = [toMm(width), toMm(height), Math.max(0.2, toMm(thickness))]
  const box = new BoxGeometry(wide, high, thick).translate(wide / 2, high / 2, -thick / 2)
  const places = box.getAttribute('uv')
  for (const [face, look, corner] of [
    [insideFace, insideLook, undefined],
    [outsideFace, outsideLook, print],
  ] as const)
    for (let at = face * 4; look && at < face * 4 + 4; at++)
      places.setXY(at, ...inRepeats([places.getX(at), places.getY(at)], [wide, high], look, corner))
  // Its four narrow sides are one, as to what they are made of.
  box.clearGroups()
  for (const [start, count, material] of groups) box.addGroup(start, count, material)
  return { box, edges: new EdgesGeometry(box) }
}

/** The line of stitches on both sides, and the gap in it as a broad line. */
const Seam = memo(function Seam({ leaf, colours }: { readonly leaf: Leaf; readonly colours: FillColours }) {
  const lines = useMemo(() => stitchLines(leaf), [leaf])
  useEffect(() => () => lines.dispose(), [lines])
  const gaps = leaf.stitches.filter(({ kind }) => kind === 'opening')
  return (
    <>
      <lineSegments geometry={lines}>
        <lineBasicMaterial color={colours.thread} />
      </lineSegments>
      {gaps.map(({ from, to }) => {
        const [x1, y1, x2, y2] = [...from, ...to].map(toMm) as [number, number, number, number]
        return (
          <mesh key={`${x1} ${y1}`} position={[(x1 + x2) / 2, (y1 + y2) / 2, -toMm(leaf.thickness) / 2]}>
            <boxGeometry args={[Math.max(3, x2 - x1), Math.max(3, y2 - y1), toMm(leaf.thickness) + 1]} />
            <meshBasicMaterial color={colours.thread} />
          </mesh>
        )
      })}
    </>
  )
})

/** A stitch and a gap, each as long, in millimetres: longer than they are sewn, so that they are seen. */
const dashMm = 4

function stitchLines({ stitches, thickness }: Leaf): BufferGeometry {
  const points: number[] = []
  for (const { kind, from, to } of stitches) {
    if (kind !== 'stitch') continue
    const [x1, y1, x2, y2] = [...from, ...to].map(toMm) as [number, number, number, number]
    const dashes = Math.max(1, Math.floor(Math.hypot(x2 - x1, y2 - y1) / dashMm / 2))
    for (let dash = 0; dash < dashes; dash++)
      for (const z of [0.4, -toMm(thickness) - 0.4])
        for (const share of [dash / dashes, (dash + 0.5) / dashes])
          points.push(x1 + (x2 - x1) * share, y1 + (y2 - y1) * share, z)
  }
  return new BufferGeometry().setAttribute('position', new Float32BufferAttribute(points, 3))
}
