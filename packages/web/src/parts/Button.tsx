import type { ButtonHTMLAttributes } from 'react'

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
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

export function Button({ look = 'plain', className = '', type = 'button', ...rest }: ButtonProps) {
  return <button type={type} className={`${buttonShape} ${buttonLooks[look]} ${className}`} {...rest} />
}
