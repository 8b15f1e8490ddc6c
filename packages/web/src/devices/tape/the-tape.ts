import { createSimulatedTape } from './simulated-tape'

/** The tape that this window is connected to, wherever in it one measures. */
export const tape = createSimulatedTape({
  random: Math.random,
  wait: ms => new Promise(resolve => setTimeout(resolve, ms)),
})
