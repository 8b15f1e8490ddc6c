import { readDevice, writeDevice } from './device-storage'

export const themes = ['system', 'light', 'dark'] as const
export type Theme = (typeof themes)[number]

const key = 'snowdrift.theme'
const darkQuery = '(prefers-color-scheme: dark)'

/** The look chosen on this device; `system` follows it. */
export function readTheme(): Theme {
  const stored = readDevice(key)
  return themes.find(theme => theme === stored) ?? 'system'
}

export function chooseTheme(theme: Theme): void {
  writeDevice(key, theme)
  applyTheme()
}

/** Sets the look on the page, and keeps following the device where it does so. */
export function applyTheme(): void {
  const dark = matchMedia(darkQuery)
  const show = () => {
    const theme = readTheme()
    document.documentElement.dataset.theme = theme === 'system' ? (dark.matches ? 'dark' : 'light') : theme
  }
  show()
  dark.onchange = show
}
