/** A whole number that a command takes, and what it is where nobody says it. */
export interface Flag {
  readonly least: number
  readonly most: number
  readonly usual: number
}

type ReadFlags<Name extends string> =
  | { readonly ok: true; readonly file: string; readonly flags: Readonly<Record<Name, number>> }
  | { readonly ok: false; readonly problems: readonly string[] }

/** One file and any of the flags, `--name N` or `--name=N`, in any order; one problem for each thing that is wrong. */
export function readFlags<Name extends string>(
  args: readonly string[],
  known: Readonly<Record<Name, Flag>>,
  usage: string,
): ReadFlags<Name> {
  const names = Object.keys(known) as Name[]
  const values = Object.fromEntries(names.map(name => [name, known[name].usual])) as Record<Name, number>
  const words = args.flatMap(word => (/^--\w+=/.test(word) ? split(word) : [word]))
  const files: string[] = []
  const problems: string[] = []
  for (let index = 0; index < words.length; index += 1) {
    const word = words[index] ?? ''
    const name = names.find(candidate => word === `--${candidate}`)
    if (name) {
      index += 1
      const number = readWhole(words[index], known[name])
      if (number === undefined) problems.push(wrongNumber(name, words[index], known[name]))
      else values[name] = number
    } else if (word.startsWith('--')) problems.push(`${word}: unknown. Use ${usage}.`)
    else files.push(word)
  }
  const [file, ...more] = files
  if (file === undefined || more.length > 0) problems.unshift(`Expected one file: ${usage}.`)
  return problems.length > 0 || file === undefined
    ? { ok: false, problems }
    : { ok: true, file, flags: values }
}

function split(word: string): readonly string[] {
  const at = word.indexOf('=')
  return [word.slice(0, at), word.slice(at + 1)]
}

function readWhole(text: string | undefined, { least, most }: Flag): number | undefined {
  if (text === undefined || !/^\d{1,16}$/.test(text)) return undefined
  const number = Number(text)
  return number >= least && number <= most ? number : undefined
}

function wrongNumber(name: string, found: string | undefined, { least, most, usual }: Flag): string {
  const range = `a whole number from ${least} to ${most}`
  return `--${name}: expected ${range}, found ${found === undefined ? 'nothing' : `“${found}”`}. Without it, ${usual}.`
}
