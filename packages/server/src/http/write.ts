import type { Context } from 'hono'
import type { ReadResult } from '@snowdrift/core'
import type { Repositories } from '../db/repositories/repositories.js'
import type { WorkshopEnv } from '../routes/workshop.js'
import { readBody } from './body.js'
import { once, type Outcome } from './once.js'
import { answerProblem } from './problems.js'

/** Reads what a request says and writes it once, or answers what is wrong with it. */
export async function writeBody<Body>(
  context: Context<WorkshopEnv>,
  read: (input: unknown) => ReadResult<Body>,
  write: (repositories: Repositories, body: Body) => Promise<Outcome>,
): Promise<Response> {
  const body = await readBody(context, read)
  if (!body.ok) return answerProblem(context, body.failure)
  return once(context, body.value, inside => write(inside, body.value))
}
