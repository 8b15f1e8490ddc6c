import type { Schedule, WhyUnplaced } from '../make/schedule/schedule.js'
import { formatMoment } from './moment.js'

/** A plan of time as JSON carries it; moments on the clock that the request was on. */
export function scheduleToJson(schedule: Schedule, offset?: number) {
  const say = (moment: number) => formatMoment(moment, offset)
  const { sessions, finish, late, critical, unplaced, minutes, oneByOne, bound } = schedule
  return {
    sessions: sessions.map(({ start, items }) => ({
      start: say(start),
      items: items.map(({ cover, copy, step, from, minutes: active, setUp }) => ({
        cover,
        copy,
        step,
        from,
        minutes: active,
        setUp,
      })),
    })),
    finish: Object.fromEntries(Object.entries(finish).map(([cover, moment]) => [cover, say(moment)])),
    late,
    critical,
    ...(schedule.latestStart !== undefined && { latestStart: say(schedule.latestStart) }),
    unplaced: unplaced.map(({ why, ...step }) => ({ ...step, why: sayWhyUnplaced(why) })),
    minutes,
    oneByOne: {
      setUp: oneByOne.setUp,
      ...(oneByOne.finish !== undefined && { finish: say(oneByOne.finish) }),
      lateMinutes: oneByOne.lateMinutes,
    },
    bound: {
      setUp: bound.setUp,
      ...(bound.finish !== undefined && { finish: say(bound.finish) }),
      lateMinutes: bound.lateMinutes,
    },
  }
}

/** Why a step found no place, and what to do. */
export function sayWhyUnplaced(why: WhyUnplaced): string {
  switch (why.kind) {
    case 'too-long':
      return `It takes ${why.minutes} min without a break, and the longest session is ${why.longest} min. Make one session longer.`
    case 'no-time':
      return 'The sessions end before it. Add one.'
    case 'needs':
      return `It waits for ${why.step}, which found no place.`
  }
}
