import type { ClothLook } from './look'

/** A photograph of cloth about its own middle, in millimetres, turned upright. */
export function PhotoImage({
  photo: { href, width, height, turn },
}: {
  readonly photo: NonNullable<ClothLook['photo']>
}) {
  return (
    <image
      href={href}
      x={-width / 2}
      y={-height / 2}
      width={width}
      height={height}
      transform={`rotate(${turn})`}
      preserveAspectRatio="none"
    />
  )
}
