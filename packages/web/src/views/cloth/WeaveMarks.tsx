import type { Weave } from '@snowdrift/core'

/** One repeat of a weave or print, on eight by eight. */
export function WeaveMarks({ weave, ink }: { readonly weave: Weave; readonly ink: string }) {
  const thin = { stroke: ink, strokeWidth: 0.6, fill: 'none' }
  switch (weave) {
    case 'plain':
      return <path {...thin} d="M0 4h8M4 0v8" />
    case 'twill':
      return <path {...thin} d="M-2 2 2 -2M0 8 8 0M6 10 10 6" />
    case 'stripes':
      return <path {...thin} strokeWidth={3} d="M4 0v8" />
    case 'checks':
      return <path fill={ink} d="M0 0h4v4H0zM4 4h4v4H4z" opacity={0.6} />
    case 'dots':
      return <circle cx="4" cy="4" r="1.4" fill={ink} />
    case 'sprigs':
      return <path {...thin} d="M4 7V2M4 4 2 2.5M4 5 6 3.5" />
    case 'stars':
      return <path fill={ink} d="m4 1 .8 2.2L7 4l-2.2.8L4 7l-.8-2.2L1 4l2.2-.8z" />
  }
}
