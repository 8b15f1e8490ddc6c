import type { ButtonHTMLAttributes, Ref } from 'react'

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly ref?: Ref<HTMLButtonElement>
  /** Beside a line of text; a finger finds it all the same. */
  readonly small?: boolean
  /** `act` is the one thing to do next; `quiet` is all else. */
  readonly look?: 'act' | 'plain' | 'quiet'
}

export const buttonLooks = {
  act: 'bg-thread text-on-thread font-semibold border-thread hover:brightness-110',
  plain: 'bg-surface text-ink border-rule hover:border-strong-rule',
  quiet: 'border-transparent text-soft hover:text-ink hover:bg-sunken',
} as const

export const buttonShape =
  'inline-flex min-h-9 items-center justify-center gap-1.5 rounded-md border px-3 py-1.5 text-base leading-tight no-underline transition-colors disabled:opacity-45'

const smallShape =
  'inline-flex min-h-6 items-center justify-center gap-1 rounded-md border px-1 text-sm leading-tight transition-colors disabled:opacity-45'

export function Button({
  look = 'plain',
  small = false,
  className = '',
  type = 'button',
  ...rest
}: ButtonProps) {
  const shape = small ? smallShape : buttonShape
  return <button type={type} className={`${shape} ${buttonLooks[look]} ${className}`} {...rest} />
}
