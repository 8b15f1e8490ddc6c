/** Why Snowdrift cannot start, in a sentence for the person at the terminal. */
export class StartFailure extends Error {
  override readonly name = 'StartFailure'
}
