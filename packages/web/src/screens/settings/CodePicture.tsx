import { create } from 'qrcode'

/** Of white around it, in dots: fewer, and a camera does not find it. */
const quiet = 4

/** A text as a picture that a camera reads: black on white, in the dark, too. */
export default function CodePicture({ text }: { readonly text: string }) {
  const { size, data } = create(text, { errorCorrectionLevel: 'M' }).modules
  const dots = Array.from(data, (isDark, at) =>
    isDark ? `M${(at % size) + quiet} ${Math.floor(at / size) + quiet}h1v1h-1z` : '',
  )
  const across = size + 2 * quiet
  return (
    <svg
      role="img"
      aria-label="The address with the code, for a camera"
      viewBox={`0 0 ${across} ${across}`}
      className="size-44 shrink-0 rounded-sm bg-white"
      shapeRendering="crispEdges"
    >
      <path d={dots.join('')} fill="black" />
    </svg>
  )
}
