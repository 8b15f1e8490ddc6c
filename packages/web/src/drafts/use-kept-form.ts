import { useCallback, useEffect, useRef, useState } from 'react'
import { dropKeptForm, findKeptForm, keepForm } from './kept-forms'

export interface KeptForm<Form> {
  readonly form: Form
  readonly change: (changes: Partial<Form>) => void
  /** The form was sent: the next one begins empty. */
  readonly done: () => Promise<void>
}

/** What is typed into a form, kept over a reload until it is sent. Undefined until it is known what was kept. */
export function useKeptForm<Form extends object>(
  name: string,
  begin: () => Form,
): KeptForm<Form> | undefined {
  const [form, setForm] = useState<Form>()
  const beginRef = useRef(begin)
  useEffect(() => {
    let left = false
    void findKeptForm<Form>(name).then(kept => {
      if (!left) setForm({ ...beginRef.current(), ...kept })
    })
    return () => {
      left = true
    }
  }, [name])
  const change = useCallback(
    (changes: Partial<Form>) =>
      setForm(before => {
        if (!before) return before
        const next = { ...before, ...changes }
        void keepForm(name, next)
        return next
      }),
    [name],
  )
  const done = useCallback(() => dropKeptForm(name), [name])
  return form && { form, change, done }
}
