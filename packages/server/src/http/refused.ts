import type { Context } from 'hono'
import { answerProblem, type Failure } from './problems.js'

/** Thrown where a transaction is to be taken back, and why. */
export class Refused extends Error {
  constructor(readonly failure: Failure) {
    super(failure.kind)
  }
}

/** The answer of `work`, or of why it was refused. */
export async function orRefused(context: Context, work: () => Promise<Response>): Promise<Response> {
  try {
    return await work()
  } catch (error) {
    if (error instanceof Refused) return answerProblem(context, error.failure)
    throw error
  }
}
