import { fractionParts } from '../views/fraction-parts'

/** Words with true fractions among them. */
export function Fractions({ text }: { readonly text: string }) {
  return fractionParts(text).map((part, index) =>
    part.fraction ? (
      <span key={index} className="fraction">
        {part.text}
      </span>
    ) : (
      part.text
    ),
  )
}
