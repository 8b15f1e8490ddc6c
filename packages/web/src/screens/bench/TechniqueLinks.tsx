import { drawTechnique, techniques, techniquesFor, type Step, type TechniqueId } from '@snowdrift/core'
import { useMemo, useState } from 'react'
import { Button } from '../../parts/Button'
import { Modal } from '../../parts/Modal'
import { DrawingView } from '../../views/DrawingView'

interface TechniqueLinksProps {
  readonly step: Step
  readonly leftHanded: boolean
}

/** Cards for what the hands may want to see once more. */
export function TechniqueLinks({ step, leftHanded }: TechniqueLinksProps) {
  const [open, setOpen] = useState<TechniqueId>()
  const cards = techniquesFor(step)
  if (cards.length === 0) return null
  return (
    <div className="flex flex-wrap gap-2">
      {cards.map(id => (
        <Button key={id} onClick={() => setOpen(id)}>
          How: {techniques[id].name.toLowerCase()}
        </Button>
      ))}
      {open && <Card id={open} leftHanded={leftHanded} onClose={() => setOpen(undefined)} />}
    </div>
  )
}

interface CardProps {
  readonly id: TechniqueId
  readonly leftHanded: boolean
  readonly onClose: () => void
}

function Card({ id, leftHanded, onClose }: CardProps) {
  const card = techniques[id]
  const drawing = useMemo(() => drawTechnique(card, { mirrored: leftHanded }), [card, leftHanded])
  return (
    <Modal title={card.name} open onClose={onClose}>
      <div className="grid gap-3" data-technique={id}>
        <div className="aspect-[100/52]">
          <DrawingView drawing={drawing} textScale={0.035} />
        </div>
        <ol className="grid list-decimal gap-2 pl-5 text-lg">
          {card.how.map(sentence => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ol>
      </div>
    </Modal>
  )
}
