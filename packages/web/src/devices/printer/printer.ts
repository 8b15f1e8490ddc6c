/** What became of labels that were sent. */
export interface PrintRun {
  readonly pages: number
  readonly size: { readonly width: number; readonly height: number }
  readonly printed: number
  /** Why not all of them came out, and what to do. */
  readonly problem?: string
}

/** A printer with a roll of labels, one a page. */
export interface LabelPrinter {
  readonly name: string
  readonly print: (pdf: Uint8Array) => PrintRun
}

export interface PrinterSettings {
  /** How wide the labels on its roll are, in millimetres. */
  readonly rollWidth: number
  /** How many are left on it. */
  readonly left: number
  readonly isOff: boolean
}

export const usualPrinter: PrinterSettings = { rollWidth: 62, left: 100, isOff: false }

const perMm = 72 / 25.4
const forgivenMm = 0.5

/** A label printer that ships with the application; `say` says its lengths. It reads what every PDF says openly: its pages and their size. */
export function createSimulatedPrinter(
  { rollWidth, left, isOff }: PrinterSettings,
  say: (millimetres: number) => string,
): LabelPrinter {
  return {
    name: 'Simulated label printer',
    print: pdf => {
      const text = new TextDecoder('latin1').decode(pdf)
      const pages = text.match(/\/Type\s*\/Page\b(?!s)/g)?.length ?? 0
      const [, width = 0, height = 0] = (
        /\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)\s*\]/.exec(text) ?? []
      ).map(Number)
      const size = { width: width / perMm, height: height / perMm }
      const none = (problem: string) => ({ pages, size, printed: 0, problem })
      if (!text.startsWith('%PDF-') || pages === 0) return none('Expected labels as a PDF; this is none.')
      if (isOff) return none('The printer does not answer. Switch it on, or look at its cable.')
      if (size.width > rollWidth + forgivenMm)
        return none(
          `The labels are ${say(size.width)} wide and the roll ${say(rollWidth)}. Put in a wider roll, or choose labels of its width.`,
        )
      const printed = Math.min(pages, left)
      if (printed === pages) return { pages, size, printed }
      return {
        pages,
        size,
        printed,
        problem: `The roll is empty after ${printed} of ${pages}. Put in another; the rest waits.`,
      }
    },
  }
}
