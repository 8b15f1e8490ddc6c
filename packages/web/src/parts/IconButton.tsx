import type { LucideIcon } from 'lucide-react'
import { Button } from './Button'

interface IconButtonProps {
  readonly icon: LucideIcon
  /** What it does, for those who do not see the picture. */
  readonly label: string
  readonly large?: boolean
  readonly disabled?: boolean
  readonly onClick?: (() => void) | undefined
}

/** A quiet button that is nothing but its picture. */
export function IconButton({ icon: Icon, label, large = false, ...rest }: IconButtonProps) {
  return (
    <Button look="quiet" aria-label={label} {...rest}>
      <Icon className={large ? 'size-5' : 'size-4'} aria-hidden />
    </Button>
  )
}
