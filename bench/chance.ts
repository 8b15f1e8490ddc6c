import { families, readCover, simulate, type CoverFile } from '@snowdrift/core'
import { fileFor } from './families.js'
import { quantile, report } from './measure.js'

/** Fifty thousand makes, best ease and all, of the slowest family; and the search for the best ease on its own. */
export function benchChance(): void {
  const covers = families.flatMap(({ id }) => {
    const file = id === series ? asSeries(fileFor(id)) : fileFor(id)
    const read = readCover(file)
    if (!read.ok) throw new Error(JSON.stringify(read.issues))
    return simulate(read.value, { makes: 1 }) ? [read.value] : []
  })
  const medians = covers.map(cover => {
    const samples = Array.from({ length: 15 }, () => {
      const began = performance.now()
      simulate(cover)
      return performance.now() - began
    })
    return quantile(samples.slice(5), 0.5)
  })
  report('50,000 makes with their best ease, the slowest family, median', Math.max(...medians), 'ms', 120)
  report('50,000 makes with their best ease, all families, median', quantile(medians, 0.5), 'ms', 120)
}

const series = families.find(({ severalObjects }) => severalObjects)?.id

/** A cover for three books, each of which has rooms of its own to keep. */
function asSeries({ object, ...file }: CoverFile): CoverFile {
  return object ? { ...file, objects: [object, object, object] } : { ...file }
}
