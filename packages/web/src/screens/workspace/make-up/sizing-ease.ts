import type { TypedSizing } from '@snowdrift/core'

export type EaseKey = 'easeWidth' | 'easeHeight'

/** Computed sizing with one ease set, or left to the way of making again. */
export function withEase(
  sizing: TypedSizing | undefined,
  key: EaseKey,
  typed: string | undefined,
): TypedSizing {
  const eases = sizing && (sizing.mode === undefined || sizing.mode === 'computed') ? sizing : {}
  const { [key]: _before, ...others } = eases
  return typed === undefined ? { ...others, mode: 'computed' } : { ...others, mode: 'computed', [key]: typed }
}
