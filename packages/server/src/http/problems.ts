import type { Context } from 'hono'
import { requestOf } from './name-request.js'
import type { Issue, Problem } from '@snowdrift/core'

/** What can be wrong with a request, as data; `answerProblem` is the only place that knows status codes. */
export type Failure =
  | {
      readonly kind: 'unreadable'
      readonly issues: readonly Issue[]
      /** How the columns of a table are headed that are not ours. */
      readonly headings?: readonly string[]
    }
  | { readonly kind: 'not-json' }
  | { readonly kind: 'too-large'; readonly limit: string }
  | { readonly kind: 'wrong-type' }
  | { readonly kind: 'bad-request'; readonly detail: string }
  | { readonly kind: 'missing'; readonly what: string }
  /** Of a link nobody is told why it leads nowhere. */
  | { readonly kind: 'link-gone' }
  | { readonly kind: 'version-needed' }
  | { readonly kind: 'stale'; readonly current: unknown }
  | { readonly kind: 'foreign'; readonly detail: string }
  /** Of a device that nobody let in, or not any more. */
  | { readonly kind: 'unpaired' }
  | { readonly kind: 'wrong-code' }
  /** Of somebody who did not sign in, or is signed out by now. */
  | { readonly kind: 'signed-out' }
  /** Of who they are said to be nothing is told, not even whether there is such a one. */
  | { readonly kind: 'wrong-proof' }
  /** What is hard to take back is done only by whoever proved a short while ago that it is they. */
  | { readonly kind: 'unconfirmed' }
  | { readonly kind: 'no-workshop' }
  /** Of somebody who looks on. */
  | { readonly kind: 'guest' }
  | { readonly kind: 'owners-only' }
  /** Of an owner who came in by a passphrase, where that is not enough. */
  | { readonly kind: 'passkey-needed' }
  | { readonly kind: 'in-the-way'; readonly detail: string }
  | { readonly kind: 'too-often'; readonly waitSeconds: number }
  | { readonly kind: 'shop-closed'; readonly detail: string }
  /** The database is away. Of a write nobody knows whether it was taken. */
  | { readonly kind: 'down'; readonly wrote: boolean }
  | { readonly kind: 'full' }
  | { readonly kind: 'busy'; readonly detail: string }
  | { readonly kind: 'key-taken' }
  | { readonly kind: 'bug' }

interface Answer {
  readonly status: 400 | 401 | 403 | 404 | 409 | 412 | 413 | 415 | 422 | 428 | 429 | 500 | 503 | 507
  readonly title: string
  readonly detail: string
}

export function answerProblem(context: Context, failure: Failure): Response {
  const { status, title, detail } = describe(failure)
  const problem: Problem = {
    type: `/problems/${failure.kind}`,
    title,
    status,
    detail,
    request: requestOf(context),
    ...(failure.kind === 'unreadable' && { issues: failure.issues }),
    ...(failure.kind === 'unreadable' && failure.headings?.length && { headings: failure.headings }),
    ...(failure.kind === 'stale' && { current: failure.current }),
  }
  return context.body(JSON.stringify(problem), status, {
    'Content-Type': 'application/problem+json',
    ...(status === 503 && { 'Retry-After': '1' }),
    ...(failure.kind === 'too-often' && { 'Retry-After': String(failure.waitSeconds) }),
    // The rest of such a body is not read, so nothing can follow it on the same connection.
    ...(failure.kind === 'too-large' && { Connection: 'close' }),
  })
}

function describe(failure: Failure): Answer {
  switch (failure.kind) {
    case 'unreadable':
      return {
        status: 422,
        title: 'Something in it cannot be read',
        detail: failure.issues.map(issue => `${issue.path}: ${issue.message}`).join(' '),
      }
    case 'not-json':
      return { status: 400, title: 'Not JSON', detail: 'The body is not JSON. Send an object in JSON.' }
    case 'too-large':
      return {
        status: 413,
        title: 'Too large',
        detail: `The body is larger than ${failure.limit}. Send less at once.`,
      }
    case 'wrong-type':
      return { status: 415, title: 'Wrong type', detail: 'Send the body as application/json.' }
    case 'bad-request':
      return { status: 400, title: 'Not understood', detail: failure.detail }
    case 'missing':
      return {
        status: 404,
        title: 'Not here',
        detail: `There is no ${failure.what} here. It may have been deleted.`,
      }
    case 'link-gone':
      return {
        status: 404,
        title: 'Nowhere',
        detail:
          'This link leads nowhere: it may have run out, been taken back, or lost a letter on the way. Ask whoever gave it to you.',
      }
    case 'version-needed':
      return {
        status: 428,
        title: 'Version needed',
        detail: 'Say in If-Match which version the change is based on, as "v3".',
      }
    case 'stale':
      return {
        status: 412,
        title: 'Changed meanwhile',
        detail: 'It was changed elsewhere since it was read. What stands now is in “current”.',
      }
    case 'foreign':
      return { status: 403, title: 'Not from here', detail: failure.detail }
    case 'unpaired':
      return {
        status: 401,
        title: 'Not let in',
        detail:
          'This device is not let in. Get a code for it at the machine on which Snowdrift runs, under Settings.',
      }
    case 'wrong-code':
      return {
        status: 403,
        title: 'No such code',
        detail:
          'No device can be let in with this code. It may be mistyped, used already or too old; get a new one.',
      }
    case 'signed-out':
      return {
        status: 401,
        title: 'Not signed in',
        detail: 'You are not signed in here, or not any more. Sign in.',
      }
    case 'wrong-proof':
      return {
        status: 403,
        title: 'Not proved',
        detail: 'That does not fit: name, passphrase, passkey or code. Nothing was changed.',
      }
    case 'unconfirmed':
      return {
        status: 403,
        title: 'Is it you?',
        detail: 'Show once more that it is you, by passphrase or passkey; then do this again.',
      }
    case 'no-workshop':
      return {
        status: 403,
        title: 'No workshop',
        detail: 'You belong to no workshop, or not any more. Open an invitation to one.',
      }
    case 'guest':
      return {
        status: 403,
        title: 'You look on',
        detail:
          'As a guest of this workshop you see everything and change nothing. An owner can make you a maker.',
      }
    case 'owners-only':
      return { status: 403, title: 'For owners', detail: 'Only an owner of the workshop may do this.' }
    case 'passkey-needed':
      return {
        status: 403,
        title: 'A passkey is needed',
        detail:
          'Here owners do this only once they have proved by a passkey that it is they. Add one under “Your account”, sign out, and come in by it.',
      }
    case 'in-the-way':
      return { status: 409, title: 'Something is in the way', detail: failure.detail }
    case 'too-often':
      return {
        status: 429,
        title: 'Tried too often',
        detail: `That was tried too often. Wait ${minutesIn(failure.waitSeconds)}, then try again.`,
      }
    case 'shop-closed':
      return { status: 503, title: 'The shop is closed', detail: failure.detail }
    case 'down':
      return {
        status: 503,
        title: 'Database away',
        detail: failure.wrote
          ? 'The database does not answer. Whether this was saved is not known; sent again with the same key, it is saved once.'
          : 'The database does not answer. Try again in a moment.',
      }
    case 'full':
      return {
        status: 507,
        title: 'No room left',
        detail: 'The disk of the server is full. Nothing was changed; make room, then try again.',
      }
    case 'busy':
      return { status: 503, title: 'Busy', detail: failure.detail }
    case 'key-taken':
      return {
        status: 422,
        title: 'Key used before',
        detail: 'This Idempotency-Key belongs to another write. Take a new one for each.',
      }
    case 'bug':
      return {
        status: 500,
        title: 'Our mistake',
        detail: 'Something went wrong on the server. Nothing was changed.',
      }
  }
}

function minutesIn(seconds: number): string {
  const minutes = Math.ceil(seconds / 60)
  return minutes === 1 ? 'a minute' : `${minutes} minutes`
}

/** A failure in a sentence or two, where it is part of a longer answer. */
export function detailOf(failure: Failure): string {
  return describe(failure).detail
}
