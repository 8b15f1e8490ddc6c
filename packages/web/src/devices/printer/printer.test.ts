import { expect } from 'chai'
import { createSimulatedPrinter, usualPrinter } from './printer.js'

/** As much of a PDF as the printer looks at: pages of 62 × 40 mm, which are 175.75 × 113.39 points. */
const pdf = (pages: number) =>
  new TextEncoder().encode(
    `%PDF-1.7\n1 0 obj << /Type /Pages >>\n${'<< /Type /Page /MediaBox [0 0 175.75 113.39] >>\n'.repeat(pages)}%%EOF`,
  )

const inMm = (millimetres: number) => `${Math.round(millimetres)} mm`

describe('the simulated label printer', () => {
  it('prints a label a page, as large as they are', () => {
    const { pages, printed, size, problem } = createSimulatedPrinter(usualPrinter, inMm).print(pdf(6))
    expect([pages, printed, problem]).to.deep.equal([6, 6, undefined])
    expect(size.width).to.be.closeTo(62, 0.01)
    expect(size.height).to.be.closeTo(40, 0.01)
  })

  it('stops where the roll is empty, too narrow, or the printer off, and says what to do', () => {
    const print = (more: Partial<typeof usualPrinter>, bytes = pdf(6)) =>
      createSimulatedPrinter({ ...usualPrinter, ...more }, inMm).print(bytes)
    expect(print({ left: 4 })).to.deep.include({
      printed: 4,
      problem: 'The roll is empty after 4 of 6. Put in another; the rest waits.',
    })
    expect(print({ left: 6 }).problem).to.equal(undefined)
    expect(print({ rollWidth: 50 }).problem).to.match(/62 mm wide and the roll 50 mm/)
    expect(print({ isOff: true })).to.deep.include({ printed: 0 })
    expect(print({}, new TextEncoder().encode('<svg/>')).problem).to.match(/Expected labels as a PDF/)
    expect(print({}, new TextEncoder().encode('%PDF-1.7')).problem).to.match(/this is none/)
  })
})
