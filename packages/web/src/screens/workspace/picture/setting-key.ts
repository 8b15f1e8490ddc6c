import type { Held } from '@snowdrift/core'

/** A setting by one word: changes under it in quick succession are undone together. */
export function settingKey({ setting }: Pick<Held, 'setting'>): string {
  switch (setting.kind) {
    case 'option':
    case 'sizing':
      return `${setting.kind}.${setting.key}`
    case 'extra':
      return `extra.${setting.extra}.${setting.key}`
    case 'seam':
      return 'seam'
  }
}
