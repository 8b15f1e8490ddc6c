/** What stands in a field once a key is typed behind it: a fraction or a unit apart from the number before, a slash close. */
export function withKey(text: string, key: string): string {
  const before = text.trimEnd()
  return before === '' || key === '/' ? before + key : `${before} ${key}`
}
