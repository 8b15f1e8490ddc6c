/** A new beginning: nothing is left of what could not be read before. Whoever wanted a page is shown it. */
export function goOnIf({ error }: { readonly error?: unknown }): void {
  if (!error) location.replace(['/sign-in', '/join'].includes(location.pathname) ? '/' : location.href)
}
