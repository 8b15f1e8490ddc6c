import type { BaseQueryFn, FetchArgs, FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import { fetchBaseQuery } from '@reduxjs/toolkit/query/react'
import { v4 as newId } from 'uuid'
import { keptForHeader, looksOnHeader, type Problem } from '@snowdrift/core'
import { meetAccount } from '../app/account'
import { looksOnChanged, shutOut, type ShutOut } from '../app/server-slice'
import { isUnreachable } from './describe-error'

export type BaseQuery = BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError>

const longestAnswerMs = 30_000
const pausesMs = [300, 1200]

/**
 * Every write carries a key, so that it is done once however often it is sent. One that brings no key of its own gets one
 * here, and is sent again with it where no answer came: whether it was done is then found out, not guessed.
 */
export function createBaseQuery(wait: (ms: number) => Promise<void> = pause): BaseQuery {
  const send = heeding(fetchBaseQuery({ baseUrl: '/api', timeout: longestAnswerMs }))
  return async (args, api, options) => {
    const request = typeof args === 'string' ? { url: args } : args
    const reads = (request.method ?? 'GET') === 'GET'
    if (reads || hasKey(request)) return send(request, api, options)
    const keyed = { ...request, headers: { ...headersOf(request), ...keyHeader(newId()) } }
    let answer = await send(keyed, api, options)
    for (const ms of pausesMs) {
      if (!answer.error || !isUnreachable(answer.error)) return answer
      await wait(ms)
      answer = await send(keyed, api, options)
    }
    return answer
  }
}

/** Notices with every answer whose work it is, and whether this device is let in at all. */
function heeding(send: ReturnType<typeof fetchBaseQuery>): BaseQuery {
  return async (args, api, options) => {
    const answer = await send(args, api, options)
    const headers = answer.meta?.response?.headers
    const account = headers?.get(keptForHeader)
    if (account) {
      // Nothing of the one is to be mixed with anything of the other.
      if (meetAccount(account)) location.reload()
      const looksOn = headers?.has(looksOnHeader) ?? false
      if (looksOn !== (api.getState() as LookingState).server?.looksOn) api.dispatch(looksOnChanged(looksOn))
    }
    const why = answer.error && whyShutOut(answer.error)
    if (why) api.dispatch(shutOut(why))
    return answer
  }
}

interface LookingState {
  readonly server?: { readonly looksOn: boolean }
}

/** Undefined where it failed of something else. */
function whyShutOut({ status, data }: FetchBaseQueryError): ShutOut | undefined {
  const { type } = (data ?? {}) as Partial<Problem>
  if (type === '/problems/no-workshop') return 'no-workshop'
  if (status !== 401) return undefined
  return type === '/problems/signed-out' ? 'signed-out' : 'unpaired'
}

export function keyHeader(key: string): Readonly<Record<string, string>> {
  return { 'Idempotency-Key': key }
}

/** What a write says that it is based on: a version, or 0 for a row that nobody has made yet. */
export function basedOn(version: number): Readonly<Record<string, string>> {
  return version === 0 ? { 'If-None-Match': '*' } : { 'If-Match': `"v${version}"` }
}

function headersOf({ headers }: FetchArgs): Readonly<Record<string, string>> {
  return (headers ?? {}) as Readonly<Record<string, string>>
}

function hasKey(request: FetchArgs): boolean {
  return 'Idempotency-Key' in headersOf(request)
}

function pause(ms: number): Promise<void> {
  return new Promise(resolve => setTimeout(resolve, ms))
}
