import { Sun } from 'lucide-react'
import { useAwake, type Awake } from './use-awake'

const words: Readonly<Record<Awake, string>> = {
  lock: 'Screen stays awake',
  video: 'Screen stays awake',
  not: 'Screen may sleep: touch it now and then',
  asking: '',
}

/** Whether the screen stays awake, in words. */
export function AwakeNote() {
  const awake = useAwake()
  if (awake === 'asking') return null
  return (
    <span className="inline-flex items-center gap-1 text-sm text-soft" data-awake={awake}>
      <Sun className="size-4" aria-hidden /> {words[awake]}
    </span>
  )
}
