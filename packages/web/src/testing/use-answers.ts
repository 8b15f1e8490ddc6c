import { afterEach, beforeEach } from 'mocha'

/** What was asked of the stand-in for the server since the test began. */
export interface Asked {
  readonly paths: readonly string[]
}

/** For each test of a suite, a server that answers every path with what is given for it. */
export function useAnswers(answer: (path: string) => unknown): Asked {
  const [fetchBefore, RequestBefore] = [globalThis.fetch, globalThis.Request]
  const asked = { paths: [] as string[] }
  beforeEach(() => {
    asked.paths = []
    globalThis.Request = class extends RequestBefore {
      constructor(input: RequestInfo | URL, init?: RequestInit) {
        super(typeof input === 'string' && input.startsWith('/') ? `http://127.0.0.1${input}` : input, init)
      }
    }
    globalThis.fetch = input => {
      const { pathname } = new URL((input as Request).url)
      asked.paths.push(pathname)
      return Promise.resolve(Response.json(answer(pathname)))
    }
  })
  afterEach(() => {
    globalThis.fetch = fetchBefore
    globalThis.Request = RequestBefore
  })
  return asked
}
