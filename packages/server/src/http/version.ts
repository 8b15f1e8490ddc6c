import type { Context } from 'hono'
import type { BasedOn } from '../db/repositories/written.js'

/** `"v3"`: the version of a row as an entity tag. */
export function formatEtag(version: number): string {
  return `"v${version}"`
}

/** The version that an If-Match header names; undefined where it names none. */
export function parseEtag(header: string | undefined): number | undefined {
  const version = /^"v(\d{1,9})"$/.exec(header?.trim() ?? '')?.[1]
  return version === undefined ? undefined : Number(version)
}

/** What a write says that it is based on: `If-Match: "v3"`, or `If-None-Match: *` for a row that nobody has made yet. */
export function basedOn(context: Context): BasedOn | undefined {
  if (context.req.header('If-None-Match')?.trim() === '*') return 'new'
  return parseEtag(context.req.header('If-Match'))
}
