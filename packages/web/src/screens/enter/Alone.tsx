import type { ReactNode } from 'react'

/** A page with one thing on it, before anything of a workshop is shown. */
export function Alone({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <main className="mx-auto grid w-full max-w-md content-start gap-6 px-4 py-8">
      <h1 className="text-2xl font-semibold tracking-tight">{title}</h1>
      {children}
    </main>
  )
}
