import type { Family } from '@snowdrift/core'

export const difficultyWords: Readonly<Record<Family['words']['difficulty'], string>> = {
  1: 'Good for a first piece',
  2: 'Some practice',
  3: 'Practice and patience',
}
