import type { ExtraFindings } from '../data/extra-findings.js'
import type { WordsOf } from './words-of.js'

export const extraFindingWords: WordsOf<ExtraFindings> = {
  'extra-not-carried': ({ extra, why }) => ({
    message: `${extra} cannot go on this cover: ${why}`,
    hint: 'It is left out of the plan. Take it off, or choose another way of making.',
  }),
  'extras-collide': ({ first, second, over, clear, way }, say) => ({
    message: `${first} and ${second.toLowerCase()} lie ${say(over)} over each other.`,
    hint: `Move ${second.toLowerCase()} ${say(clear)} ${way}.`,
  }),
  'extra-outside': ({ extra, on, by, room }, say) => ({
    message: `${extra} reaches ${say(by)} over the edge of the ${on}.`,
    hint: `There is room for ${say(room)}. Make it smaller or move it.`,
  }),
  'extra-over-fold': ({ extra, by }, say) => ({
    message: `${extra} lies ${say(by)} over a fold.`,
    hint: 'It would crease there every time the cover opens. Move it onto one board.',
  }),
  'place-unheeded': ({ extra, said }) => ({
    message: `${extra} cannot be put elsewhere: ${said.map(key => `“${key}”`).join(' and ')} ${said.length > 1 ? 'change' : 'changes'} nothing.`,
    hint: 'Its place follows from the cover. Leave that out.',
  }),
  'extra-too-short': ({ extra, has, needs }, say) => ({
    message: `${extra}: ${say(has)} does not reach; ${say(needs)} does.`,
    hint: `Make it ${say(needs)} or longer.`,
  }),
  'extra-in-opening': ({ extra, over }, say) => ({
    message: `${extra} sits ${say(over)} inside the turning opening or within {½ in} of it.`,
    hint: 'It would be caught by hand-closing only, and pull out. Move the one or the other.',
  }),
  'pocket-through-outside': ({ extra, on }) => ({
    message: `${extra} on the ${on} would be stitched through to the outside.`,
    hint: 'Sew it to a flap before the flap closes, or to the lining before the layers join.',
  }),
  'step-too-small': ({ step, least }, say) => ({
    message: `The tiers step up by ${say(step)}; under ${say(least)} a finger finds no hold.`,
    hint: 'Take fewer tiers, or a higher pocket.',
  }),
  'handle-span': ({ span, least }, say) => ({
    message: `The feet of the handle stand ${say(span)} apart; the tab between them needs ${say(least)}.`,
    hint: `Set them ${say(least)} apart or more.`,
  }),
  'handle-frays': ({ cloth }) => ({
    message: `A handle folded in three leaves a raw edge, and ${cloth} frays.`,
    hint: 'Fold it in four.',
  }),
  'magnet-near-sensor': ({ distance, least }, say) => ({
    message: `The magnet sits ${say(distance)} from the sleep sensor; ${say(least)} is safe.`,
    hint: 'Nearer, it puts the device to sleep, or wakes it in the bag.',
  }),
  'quilting-without-padding': ({ cloth }) => ({
    message: `There is no padding under ${cloth} to quilt.`,
    hint: 'Add batting or fleece among the layers, or leave the quilting out.',
  }),
}
