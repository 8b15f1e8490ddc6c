import { quantile, report } from '../measure.js'
import { cutWithoutWaste, gatherKits, type Instance } from './instances.js'
import { packByRivals } from './rivals.js'
import { solve, type Course } from './solve.js'

/** The figures of the cutting layout. `npm run bench:nest -- quick` takes a quarter of the instances. */
const seeds = process.argv.includes('quick') ? [0] : [0, 1, 2, 3]
const percent = (share: number) => 100 * share
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

const sizes = [6, 8, 12, 17, 25, 35, 50]
const kitSizes = [6, 10, 15, 20, 30]
const firsts: number[] = []

function run(instance: Instance, ...rest: [Parameters<typeof solve>[1], boolean, number]): Course {
  const course = solve(instance, ...rest)
  firsts.push(course.firstMs)
  return course
}

function benchWithoutWaste(cuts: 'scissors' | 'rotary'): void {
  const found = [false, true].flatMap(turn =>
    sizes.flatMap(count =>
      seeds.map(seed => {
        const instance = cutWithoutWaste(count, seed, cuts === 'rotary' || seed % 2 === 0)
        return { count, optimum: instance.optimum ?? NaN, course: run(instance, cuts, turn, 2000) }
      }),
    ),
  )
  const over = (ms: number, of = found) =>
    percent(mean(of.map(({ optimum, course }) => course.lengthAt(ms) / optimum - 1)))
  if (cuts === 'scissors') {
    report('without waste, scissors, over the optimum after 0.05 s', over(50), '%', 2)
    report('without waste, scissors, over the optimum after 0.5 s', over(500), '%', 1)
  }
  report(`without waste, ${cuts}, over the optimum after 2 s`, over(2000), '%', 0.7)
  const small = found.filter(({ count }) => count <= 17)
  report(`without waste, ${cuts}, up to 17 pieces after 2 s`, over(2000, small), '%', 0)
  for (const count of sizes) {
    const some = found.filter(entry => entry.count === count)
    const times = [50, 500, 2000].map(ms => `${over(ms, some).toFixed(2)} %`)
    console.log(`    ${String(count).padStart(2)} pieces: ${times.join(', ')} after 0.05, 0.5, 2 s`)
  }
}

function benchKits(): void {
  const kits = kitSizes.flatMap(count => seeds.slice(0, 2).map(seed => gatherKits(count, seed)))
  const courses = kits.map(kit => ({ kit, course: run(kit, 'scissors', true, 20_000) }))
  const over = (ms: number) =>
    percent(mean(courses.map(({ course }) => course.lengthAt(ms) / course.lengthAt(10 * ms) - 1)))
  report('kits, scissors, 0.5 s over 5 s', over(500), '%', 0.4)
  report('kits, scissors, 2 s over 20 s', over(2000), '%', 0.15)
  const rotary = courses.map(
    ({ kit, course }) => run(kit, 'rotary', true, 2000).lengthAt(2000) / course.lengthAt(2000) - 1,
  )
  report('kits, rotary over scissors, 2 s', percent(mean(rotary)), '%', 2)
}

/** Where a packer chooses its own width, the search is given that width. */
function benchRivals(): void {
  const instances = [
    ...sizes.flatMap(count => seeds.map(seed => cutWithoutWaste(count, seed, false))),
    ...kitSizes.flatMap(count => seeds.map(seed => gatherKits(count, seed))),
  ]
  const results = instances.flatMap(instance =>
    [false, true].flatMap(turn =>
      packByRivals(instance, turn).map(rival => {
        const own = solve({ ...instance, width: rival.width }, 'scissors', turn, 500).final
        return { name: rival.name, longer: rival.length / own - 1 }
      }),
    ),
  )
  for (const name of new Set(results.map(result => result.name))) {
    const longer = results.filter(result => result.name === name).map(result => result.longer)
    console.log(
      `    ${name}: ${percent(mean(longer)).toFixed(1)} % longer in the mean, ${percent(Math.min(...longer)).toFixed(1)} % at least`,
    )
  }
  const worse = results.filter(({ longer }) => longer < 0).length
  report(`layouts longer than a packer’s, of ${results.length}`, worse, '', 0)
}

function benchLarge(): void {
  for (const count of [200, 1000]) {
    const course = solve(gatherKits(count, 1), 'scissors', true, 3000)
    report(`${count} pieces, 3 s, over the bound`, percent(course.lengthAt(3000) / course.bound - 1), '%', 5)
  }
}

solve(cutWithoutWaste(20, 99, true), 'scissors', true, 300)
solve(cutWithoutWaste(20, 99, true), 'rotary', true, 300)
console.log('what'.padEnd(62), '     came       must be')
benchWithoutWaste('scissors')
benchWithoutWaste('rotary')
benchKits()
benchRivals()
benchLarge()
report('first layout, median', quantile(firsts, 0.5), 'ms', 30)
report('first layout, 95th percentile', quantile(firsts, 0.95), 'ms', 30)
