import type { Job } from '../families/contract.js'
import type { Trait } from '../families/trait.js'
import { findingWhen, type Finding } from '../finding/finding.js'
import { mm, type Length } from '../length/length.js'
import type { CutFrom } from '../material/cut-from.js'
import { layerOf, outerOf, type Stack } from '../material/layer.js'
import type { Material } from '../material/material.js'
import type { Role } from '../material/role.js'
import { largestReading } from '../object/reading.js'

/** Below this a cloth has no body of its own; above the other it needs none from below. */
const thinCloth = mm(0.35)
const thickCloth = mm(0.7)
const largeBook = mm(250)

type Judged = Pick<Job<unknown>, 'object' | 'stack' | 'seam' | 'cutFrom'>

/** What the materials make an experienced maker say before the first cut. Source: docs/craft.md, Judgement. */
export function adviseOnMaterials(job: Judged, traits: readonly Trait[]): readonly Finding[] {
  const { stack, seam, cutFrom } = job
  return [
    ...adviseStiffening(job, traits),
    ...adviseSeeThrough(stack, traits),
    ...adviseFraying(stack, seam, traits),
    ...adviseGlue(stack, traits),
    ...adviseShrinkage(stack, cutFrom, traits),
    ...advisePadding(stack, seam, traits),
    ...advisePrint(stack, cutFrom),
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

/** From this share on, what lies beneath is seen. */
const showsFrom = 0.3

function adviseSeeThrough(stack: Stack, traits: readonly Trait[]): readonly Finding[] {
  const { name, seeThrough } = outerOf(stack)
  const beneath = stack.at(-2)
  const veiled = layerOf(stack, 'underlining') ?? layerOf(stack, 'interfacing')
  const over =
    traits.includes('boards') || traits.includes('glued')
      ? 'boards'
      : beneath && beneath.print !== 'none'
        ? 'print'
        : undefined
  if (!over || (over === 'boards' && veiled)) return []
  return findingWhen(seeThrough >= showsFrom, 'shows-through', 'layer:outer', {
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
  const { name, thickness } = outerOf(stack)
  const backed = layerOf(stack, 'interfacing') ?? layerOf(stack, 'underlining')
  return findingWhen(
    traits.includes('glued') && !backed && thickness < thinCloth,
    'glue-strikes-through',
    'layer:outer',
    {
      cloth: named(name, 'The outer cloth'),
      thickness,
    },
  )
}

/** What is sewn to each other and goes into the wash: cloth; neither what is fused or quilted in, nor foam. */
const sewnCloth: ReadonlySet<Role> = new Set(['outer', 'lining', 'underlining', 'binding', 'trim'])

/**
 * Unwashed cloths that are sewn together and differ by over 2 % pucker after the first wash; the one to wash is named.
 * What is glued to board, and a soft journal, is not washed.
 */
function adviseShrinkage(stack: Stack, cutFrom: CutFrom, traits: readonly Trait[]): readonly Finding[] {
  if (traits.includes('glued') || traits.includes('boards') || traits.includes('journal')) return []
  const left = ({ washed, shrinkage }: Material) => (washed ? 0 : shrinkage)
  const sorted = [...stack, ...Object.values(cutFrom)]
    .filter(({ role }) => sewnCloth.has(role))
    .toSorted((one, other) => left(one) - left(other))
  const [least, most] = [sorted[0], sorted.at(-1)]
  if (!least || !most) return []
  return findingWhen(left(most) - left(least) > 2, 'shrinkage-differs', `layer:${most.role}`, {
    most: named(most.name, `The ${most.role}`),
    mostPercent: left(most),
    least: named(least.name, `the ${least.role}`),
    leastPercent: left(least),
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

function advisePrint(stack: Stack, cutFrom: CutFrom): readonly Finding[] {
  const { name, print } = outerOf(stack)
  const own = Object.entries(cutFrom).filter(([piece]) => piece !== 'outer')
  const said = new Set([name])
  return [
    ...findingWhen(print === 'one-way', 'one-way-print', 'layer:outer', {
      cloth: named(name, 'the outer cloth'),
    }),
    ...own.flatMap(([piece, cloth]) => {
      if (cloth.print !== 'one-way' || said.has(cloth.name)) return []
      said.add(cloth.name)
      return findingWhen(true, 'one-way-print', `piece:${piece}`, {
        cloth: named(cloth.name, `the ${piece}`),
      })
    }),
  ]
}

function named(name: string, otherwise: string): string {
  return name.trim() || otherwise
}
