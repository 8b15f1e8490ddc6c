import { useId, type ReactNode } from 'react'

/** A part of a page about people, under its heading. */
export function Section({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  const id = useId()
  return (
    <section className="grid content-start gap-4" aria-labelledby={id}>
      <h2 id={id} className="text-xl font-semibold">
        {title}
      </h2>
      {children}
    </section>
  )
}

interface RowProps {
  readonly name: string
  /** What is said of it beneath its name. */
  readonly words: string
  readonly children?: ReactNode
}

/** One of a list: its name, what is said of it, and what can be done with it. */
export function Row({ name, words, children }: RowProps) {
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule py-2">
      <span className="min-w-0 flex-1 basis-36">
        <bdi className="font-medium wrap-anywhere">{name}</bdi>
        <span className="block text-sm text-soft">{words}</span>
      </span>
      {children && <span className="flex items-center gap-2">{children}</span>}
    </li>
  )
}
