import { pocketSteps } from '../pocket-steps.js'

export const steps = pocketSteps('faced')
