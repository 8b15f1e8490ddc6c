import { checkPlaces } from '../extras/check-places.js'
import type { ExtraPlan } from '../extras/contract.js'
import { placeLabels, unheeded, type Place } from '../extras/place-keys.js'
import { extras as knownExtras } from '../extras/registry.js'
import type { FamilyPlan } from '../families/contract.js'
import type { Trait } from '../families/trait.js'
import type { AddedExtra, Cover } from '../file/cover.js'
import { findingWhen, type Finding } from '../finding/finding.js'
import { adviseOnSeam } from '../judge/seam-advice.js'
import { checkUsual } from '../judge/usual.js'
import { add, longest, mm, zero, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'

/** Above this a page no longer lies flat over a pocket. Source: docs/craft.md, Things added. */
const flatPage = mm(5)

/** What extras give to think of: those a cover cannot carry, that thicken a seam, that lie in each other’s way. */
export function judgeExtras(
  { family, extras, unit }: Cover,
  made: FamilyPlan,
  added: readonly (ExtraPlan | undefined)[],
  inside: Length,
): readonly Finding[] {
  const thickest = made.seams.toSorted((one, other) => other.thickness - one.thickness)[0]
  const prints = added.flatMap((extra, index) =>
    (extra?.footprints ?? []).map(print => ({
      ...print,
      index,
      name: extras[index]?.extra.words.name ?? '',
    })),
  )
  return [
    ...extras.flatMap(({ extra }, index) => {
      const why = extra.refuses(family.traits)
      return findingWhen(why !== undefined, 'extra-not-carried', `extra:${index}`, {
        extra: extra.words.name,
        why: why ?? '',
      })
    }),
    ...extras.flatMap(({ extra, options }, index) =>
      checkUsual(extra.options(unit), options, { aboutOf: () => `extra:${index}`, repairs: false }),
    ),
    ...added.flatMap((extra, index) =>
      extra && thickest && extra.caught > zero
        ? adviseOnSeam(
            {
              name: `${thickest.name} with the ${(extras[index]?.extra.words.name ?? '').toLowerCase()}`,
              thickness: add(thickest.thickness, extra.caught),
            },
            `extra:${index}`,
          )
        : [],
    ),
    ...extras.flatMap((added, index) => checkHeeded(added, family.traits, `extra:${index}`)),
    ...checkClosure(family.traits, extras),
    ...checkHandles(added, unit),
    ...checkPlaces(made.strip, prints, unit),
    ...findingWhen(inside > flatPage, 'page-not-flat', 'fit:width', { thickness: inside, most: flatPage }),
  ]
}

/** A tab between the feet of a handle needs its width and 1 in; where there is none, the feet stand as they like. */
function checkHandles(added: readonly (ExtraPlan | undefined)[], unit: Unit): readonly Finding[] {
  const [tab, ...others] = added.flatMap(extra => extra?.tabWidth ?? [])
  if (tab === undefined) return []
  const least = add(longest(tab, ...others), customary(1, unit))
  return added.flatMap((extra, index) => {
    const span = extra?.feetApart
    return span === undefined
      ? []
      : findingWhen(span < least, 'handle-span', `extra:${index}`, { span, least })
  })
}

/** A place that comes to nothing, on a cover that carries the extra. */
function checkHeeded(
  { extra, options }: AddedExtra,
  traits: readonly Trait[],
  about: Finding['about'],
): readonly Finding[] {
  if (extra.refuses(traits) !== undefined) return []
  const said = unheeded(options as Place, extra.places(traits)).map(key => placeLabels[key].toLowerCase())
  return findingWhen(said.length > 0, 'place-unheeded', about, { extra: extra.words.name, said })
}

/** What folds over a device or a journal falls open unless something holds it. */
function checkClosure(traits: readonly Trait[], added: readonly AddedExtra[]): readonly Finding[] {
  const open = traits.includes('folds-over') && !traits.includes('book')
  const closed = added.some(({ extra }) => extra.group === 'closure' && extra.refuses(traits) === undefined)
  const closures = open && !closed ? closuresFor(traits) : []
  return findingWhen(closures.length > 0, 'no-closure', 'family', { closures })
}

function closuresFor(traits: readonly Trait[]): readonly string[] {
  return knownExtras
    .filter(({ group, refuses }) => group === 'closure' && refuses(traits) === undefined)
    .slice(0, 2)
    .map(({ words }) => `a ${words.name.toLowerCase()}`)
}
