import type { z } from 'zod'
import { formatPath, type Issue } from './issue.js'

const mostIssues = 50

/** What a schema found, in our words: where, what stood there, what would do. At most fifty. */
export function describeSchemaIssues(error: z.ZodError, input: unknown): readonly Issue[] {
  return error.issues.flatMap(issue => describeOne(issue, input)).slice(0, mostIssues)
}

function describeOne(issue: z.core.$ZodIssue, input: unknown): readonly Issue[] {
  const path = formatPath(issue.path)
  const found = valueAt(input, issue.path)
  switch (issue.code) {
    case 'unrecognized_keys':
      return issue.keys.map(key => ({
        path: formatPath([...issue.path, key]),
        message: `“${shorten(key)}” is not known here. Take it out, or check its spelling.`,
      }))
    case 'invalid_value':
      return [{ path, message: `Expected ${oneOf(issue.values)}, found ${show(found)}.` }]
    case 'invalid_type':
      return [
        {
          path,
          message: `Expected ${nounOf(issue.expected)}, found ${show(found)}.`,
          ...(numbers.has(issue.expected) && typeof found === 'string' && isUnread),
        },
      ]
    case 'invalid_union':
      return (
        unreadLength(issue, path) ?? [
          { path, message: `Expected ${unionNoun(issue)}, found ${show(found)}.` },
        ]
      )
    case 'too_small':
      return [
        {
          path,
          message: `Expected at least ${issue.minimum}${sizeNoun(issue.origin)}, found ${show(found)}.`,
          ...(numbers.has(issue.origin) && isUnread),
        },
      ]
    case 'too_big':
      return [
        {
          path,
          message: `Expected at most ${issue.maximum}${sizeNoun(issue.origin)}, found ${show(found)}.`,
          ...(numbers.has(issue.origin) && isUnread),
        },
      ]
    case 'custom':
      return [{ path, message: issue.message, ...(issue.params?.unread === true && isUnread) }]
    default:
      return [{ path, message: issue.message }]
  }
}

const isUnread = { unread: true } as const
const numbers = new Set(['number', 'int'])

/** Where a name or a length would do, what is wrong with it as a length says more. */
function unreadLength(issue: z.core.$ZodIssueInvalidUnion, path: string): readonly Issue[] | undefined {
  const length = issue.errors
    .flat()
    .find(inner => inner.code === 'custom' && inner.path.length === 0 && inner.params?.unread === true)
  return length && [{ path, message: length.message, ...isUnread }]
}

function valueAt(input: unknown, path: readonly PropertyKey[]): unknown {
  return path.reduce<unknown>(
    (value, part) =>
      typeof value === 'object' && value !== null && Object.hasOwn(value, part)
        ? (value as Record<PropertyKey, unknown>)[part]
        : undefined,
    input,
  )
}

/** What stood in the file, short enough for a line. */
export function show(value: unknown): string {
  if (value === undefined) return 'nothing'
  if (Array.isArray(value)) return value.length === 0 ? 'an empty list' : `a list of ${value.length}`
  if (typeof value === 'object' && value !== null) return 'an object'
  return shorten(typeof value === 'string' ? `“${value}”` : `${value as number | boolean | bigint | null}`)
}

function shorten(text: string): string {
  const oneLine = text.replace(/\s+/g, ' ')
  return oneLine.length > 60 ? `${oneLine.slice(0, 57)}…` : oneLine
}

function oneOf(values: readonly unknown[]): string {
  const shown = values.map(value => (typeof value === 'string' ? value : JSON.stringify(value)))
  if (shown.length < 2) return shown.join('')
  return `${shown.slice(0, -1).join(', ')} or ${shown.at(-1)}`
}

const nouns: Readonly<Record<string, string>> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object with keys',
  record: 'an object with keys',
  nonoptional: 'a value',
}

function nounOf(expected: string): string {
  return nouns[expected] ?? expected
}

function unionNoun(issue: z.core.$ZodIssueInvalidUnion): string {
  const expected = issue.errors
    .flat()
    .flatMap(inner => (inner.code === 'invalid_type' ? [nounOf(inner.expected)] : []))
  return expected.length > 0 ? [...new Set(expected)].join(' or ') : 'another form'
}

function sizeNoun(origin: string): string {
  if (origin === 'string') return ' characters'
  if (origin === 'array' || origin === 'set') return ' entries'
  return ''
}
