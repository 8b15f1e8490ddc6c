/** Offers a text as a file to keep. */
export function download(name: string, text: string, type = 'application/json'): void {
  downloadBlob(name, new Blob([text], { type }))
}

/** The same for what is written already. */
export function downloadBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob)
  const link = Object.assign(document.createElement('a'), { href: url, download: name })
  link.click()
  URL.revokeObjectURL(url)
}

/** A name that any file system takes: “Hut ledger, ¾” → `hut-ledger`. */
export function fileNameOf(title: string): string {
  return (
    title
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'cover'
  )
}
