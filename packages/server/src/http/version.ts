/** `"v3"`: the version of a row as an entity tag. */
export function formatEtag(version: number): string {
  return `"v${version}"`
}

/** The version that an If-Match header names; undefined where it names none. */
export function parseEtag(header: string | undefined): number | undefined {
  const version = /^"v(\d{1,9})"$/.exec(header?.trim() ?? '')?.[1]
  return version === undefined ? undefined : Number(version)
}
