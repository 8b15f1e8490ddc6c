import { useEffect } from 'react'
import { isTyping } from '../../app/shortcuts'

interface BenchKeys {
  readonly onGo: () => void
  readonly onYes: () => void
  readonly onNo: () => void
  readonly onBack: () => void
}

/** Space goes on, y and n answer, the arrow goes back; a gate wants its answer. */
export function useBenchKeys({ onGo, onYes, onNo, onBack }: BenchKeys): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event)) return
      if (document.querySelector('[data-modal]')) return
      const onButton = event.target instanceof HTMLElement && event.target.closest('button, a, summary')
      const act = { ' ': onGo, ArrowRight: onGo, y: onYes, n: onNo, ArrowLeft: onBack }[event.key]
      if (!act || (event.key === ' ' && onButton)) return
      event.preventDefault()
      // n means another thing everywhere else
      event.stopImmediatePropagation()
      act()
    }
    addEventListener('keydown', press, true)
    return () => removeEventListener('keydown', press, true)
  }, [onGo, onYes, onNo, onBack])
}
