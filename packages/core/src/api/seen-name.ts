import { z } from 'zod'

/** Marks that turn the direction of writing, and letters without a shape: a name could look like another by them. */
const unseen = /[\p{Cc}\p{Cf}\p{Co}\p{Cn}\p{Zl}\p{Zp}]/u

/** A name by which people, devices and workshops are told apart: 1 to 60 letters, all of which can be seen. */
export const seenName = z
  .string()
  .trim()
  .min(1)
  .max(60)
  .refine(name => !unseen.test(name), 'The name has letters that cannot be seen. Type it by hand.')
