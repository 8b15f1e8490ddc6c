import { PDFDocument } from 'pdf-lib'

/** Several PDFs as one, their pages one after the other. Of none, a document without pages. */
export async function joinPdfs(files: readonly Uint8Array[]): Promise<Uint8Array> {
  const whole = await PDFDocument.create()
  for (const file of files) {
    const one = await PDFDocument.load(file)
    for (const page of await whole.copyPages(one, one.getPageIndices())) whole.addPage(page)
  }
  return whole.save({ addDefaultPage: false })
}
