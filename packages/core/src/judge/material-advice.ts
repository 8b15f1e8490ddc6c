import type { Job } from '../families/contract.js'
import type { Trait } from '../families/trait.js'
import { findingWhen, type Finding } from '../finding/finding.js'
import { mm, type Length } from '../length/length.js'
import { layerOf, outerOf, type Layer, type Stack } from '../material/layer.js'
import { largestReading } from '../object/reading.js'

/** Below this a cloth has no body of its own; above the other it needs none from below. */
const thinCloth = mm(0.35)
const thickCloth = mm(0.7)
const largeBook = mm(250)

type Judged = Pick<Job<unknown>, 'object' | 'stack' | 'seam'>

/** What the materials make an experienced maker say before the first cut. Source: docs/craft.md, Judgement. */
export function adviseOnMaterials(job: Judged, traits: readonly Trait[]): readonly Finding[] {
  const { stack, seam } = job
  return [
    ...adviseStiffening(job, traits),
    ...adviseSeeThrough(stack, traits),
    ...adviseFraying(stack, seam, traits),
    ...adviseGlue(stack, traits),
    ...adviseShrinkage(stack, traits),
    ...advisePadding(stack, seam, traits),
    ...advisePrint(stack),
  ]
}

/** Hardcover or large: woven fusible. Thin outer: batting. Thick outer: neither. Boards of the cover’s own carry it. */
function adviseStiffening({ object, stack }: Judged, traits: readonly Trait[]): readonly Finding[] {
  if (traits.includes('boards') || traits.includes('glued')) return []
  const { name, thickness } = outerOf(stack)
  const backing = layerOf(stack, 'interfacing') ?? layerOf(stack, 'padding')
  const large = object.kind === 'hardcover' || (largestReading(object, 'height') ?? mm(0)) > largeBook
  const remedy = large ? 'woven' : 'batting'
  const stiffener = layerOf(stack, 'interfacing')
  return [
    ...findingWhen(!backing && thickness < thinCloth, 'stiffen-outer', 'layer:outer', {
      cloth: named(name, 'The outer cloth'),
      thickness,
      with: remedy,
    }),
    ...findingWhen(
      stiffener?.stiffness === 'stiff' && thickness > thickCloth,
      'too-stiff',
      'layer:interfacing',
      {
        cloth: named(name, 'The outer cloth'),
        thickness,
        layer: named(stiffener?.name ?? '', 'the interfacing'),
      },
    ),
  ]
}

function adviseSeeThrough(stack: Stack, traits: readonly Trait[]): readonly Finding[] {
  const { name, seeThrough } = outerOf(stack)
  const beneath = stack.at(-2)
  const veiled = layerOf(stack, 'underlining') ?? layerOf(stack, 'interfacing')
  const over = traits.includes('boards')
    ? 'boards'
    : beneath && beneath.print !== 'none'
      ? 'print'
      : undefined
  if (!over || (over === 'boards' && veiled)) return []
  return findingWhen(seeThrough >= 0.2, 'shows-through', 'layer:outer', {
    cloth: named(name, 'The outer cloth'),
    seeThrough,
    over,
  })
}

function adviseFraying(stack: Stack, seam: Length, traits: readonly Trait[]): readonly Finding[] {
  if (traits.includes('glued')) return []
  const raw = !traits.includes('turned')
  return stack
    .filter(({ frays, role }) => frays === 'much' && (role === 'outer' || role === 'lining'))
    .filter(() => raw || seam < mm(9))
    .flatMap(({ name, role }) =>
      findingWhen(true, 'frays-much', `layer:${role}`, {
        cloth: named(name, `The ${role}`),
        where: raw ? 'raw edge' : 'seam',
      }),
    )
}

function adviseGlue(stack: Stack, traits: readonly Trait[]): readonly Finding[] {
  const { name, thickness, seeThrough } = outerOf(stack)
  const backed = layerOf(stack, 'interfacing') ?? layerOf(stack, 'underlining')
  const thin = thickness < mm(0.25) || seeThrough >= 0.4
  return findingWhen(traits.includes('glued') && !backed && thin, 'glue-strikes-through', 'layer:outer', {
    cloth: named(name, 'The outer cloth'),
    thickness,
  })
}

/** Unwashed plies that differ by over 2 % pucker later; what is glued to board is not washed. */
function adviseShrinkage(stack: Stack, traits: readonly Trait[]): readonly Finding[] {
  if (traits.includes('glued') || traits.includes('boards')) return []
  const washed = ({ washed: done, shrinkage }: Layer) => (done ? 0 : shrinkage)
  const sorted = stack.toSorted((one, other) => washed(one) - washed(other))
  const [least, most] = [sorted[0], sorted.at(-1)]
  if (!least || !most) return []
  return findingWhen(washed(most) - washed(least) > 2, 'shrinkage-differs', `layer:${most.role}`, {
    most: named(most.name, `The ${most.role}`),
    mostPercent: washed(most),
    least: named(least.name, `the ${least.role}`),
    leastPercent: washed(least),
  })
}

function advisePadding(stack: Stack, seam: Length, traits: readonly Trait[]): readonly Finding[] {
  const padding = layerOf(stack, 'padding')
  if (!padding || !traits.includes('turned') || !traits.includes('book')) return []
  return findingWhen(padding.inset < seam, 'padding-in-seam', 'layer:padding', {
    padding: named(padding.name, 'The padding'),
    inset: padding.inset,
    seam,
  })
}

function advisePrint(stack: Stack): readonly Finding[] {
  const { name, print } = outerOf(stack)
  return findingWhen(print === 'one-way', 'one-way-print', 'layer:outer', {
    cloth: named(name, 'the outer cloth'),
  })
}

function named(name: string, otherwise: string): string {
  return name.trim() || otherwise
}
