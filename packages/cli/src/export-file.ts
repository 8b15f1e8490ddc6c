import {
  describeFinding,
  exportKinds,
  formatIssue,
  plan,
  paperNames,
  planSteps,
  readCover,
  sayPlainly,
  sayProperly,
  severityIn,
  usualHands,
  type ExportKind,
  type PaperName,
} from '@snowdrift/core'
import { exportCover } from '@snowdrift/paper'
import { writeFile } from 'node:fs/promises'
import { parseArgs } from 'node:util'
import { readJson } from './read-json.js'
import { exitCodes, type Terminal } from './terminal.js'

const usage = `snowdrift export FILE --as ${exportKinds.join('|')} --paper a4|letter --out PATH (- is standard input)`

/**
 * `export FILE --as … --out PATH`: writes a cover for paper or machines. A cover that cannot be made as planned is written all
 * the same; why not is said, and the exit code has it.
 */
export async function exportFile(args: readonly string[], terminal: Terminal): Promise<number> {
  const refuse = (lines: readonly string[]) => {
    terminal.complain(lines.map(line => `${line}\n`).join(''))
    return exitCodes.unusable
  }
  const flags = readExportFlags(args)
  if (!flags.ok) return refuse(flags.problems)
  const json = await readJson(flags.file, terminal)
  if (!json.ok) return refuse([json.message])
  const read = readCover(json.value)
  if (!read.ok) return refuse(read.issues.map(formatIssue))
  const cover = read.value
  const planned = plan(cover)
  const making = planSteps(cover, planned, { say: sayProperly(cover.unit), hands: usualHands })
  const bytes = await exportCover(
    flags.kind,
    { cover, plan: planned, making },
    { paper: flags.paper, withPlain: flags.plain },
  )
  try {
    await writeFile(flags.out, bytes)
  } catch (cause) {
    return refuse([
      `--out: ${flags.out} cannot be written: ${cause instanceof Error ? cause.message : String(cause)}`,
    ])
  }
  const errors = planned.findings.filter(finding => severityIn(finding) === 'error')
  for (const finding of errors)
    terminal.complain(`${finding.code}: ${describeFinding(finding, sayPlainly(cover.unit)).message}\n`)
  return errors.length > 0 ? exitCodes.cannotBeMade : exitCodes.done
}

type ExportFlags =
  | {
      readonly ok: true
      readonly file: string
      readonly kind: ExportKind
      readonly paper: PaperName
      readonly plain: boolean
      readonly out: string
    }
  | { readonly ok: false; readonly problems: readonly string[] }

function readExportFlags(args: readonly string[]): ExportFlags {
  const parsed = attemptParse(args)
  if (typeof parsed === 'string') return { ok: false, problems: [`${parsed} Use ${usage}.`] }
  const { values, positionals } = parsed
  const [file, ...more] = positionals
  const { as, paper = 'a4', out, plain = false } = values
  const problems = [
    ...(file === undefined || more.length > 0 ? [`Expected one file: ${usage}.`] : []),
    ...(as === undefined ? [`--as: expected one of ${exportKinds.join(', ')}.`] : []),
    ...(as !== undefined && !isExportKind(as)
      ? [`--as: “${as}” is unknown. Expected one of ${exportKinds.join(', ')}.`]
      : []),
    ...(isPaper(paper) ? [] : [`--paper: nobody has “${paper}”. Expected a4, letter or a0.`]),
    ...(out ? [] : ['--out: expected the path of the file to write.']),
  ]
  if (problems.length > 0 || !file || !as || !isExportKind(as) || !isPaper(paper) || !out)
    return { ok: false, problems }
  return { ok: true, file, kind: as, paper, plain, out }
}

function isExportKind(word: string): word is ExportKind {
  return exportKinds.some(kind => kind === word)
}

function isPaper(word: string): word is PaperName {
  return paperNames.some(name => name === word)
}

function attemptParse(args: readonly string[]) {
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        as: { type: 'string' },
        paper: { type: 'string' },
        out: { type: 'string' },
        plain: { type: 'boolean' },
      },
    })
  } catch (cause) {
    return cause instanceof Error ? cause.message : String(cause)
  }
}
