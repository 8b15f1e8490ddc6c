import type { Page } from 'puppeteer-core'
import { find, press } from './hands.js'

const clickSeconds = 1.1
const keySeconds = 0.2

/** Hands that are timed: 1.1 s for each click, 0.2 s for each key; what the machine takes is not theirs. */
export interface TimedHands {
  readonly click: (name: string) => Promise<void>
  readonly type: (text: string) => Promise<void>
  readonly key: (...keys: readonly string[]) => Promise<void>
  readonly seconds: () => number
}

export function timeHands(page: Page): TimedHands {
  let seconds = 0
  return {
    click: async name => {
      await press(page, name)
      seconds += clickSeconds
    },
    type: async text => {
      await page.keyboard.type(text)
      seconds += text.length * keySeconds
    },
    key: async (...keys) => {
      for (const key of keys) {
        await page.keyboard.press(key as 'Enter')
        seconds += keySeconds
      }
    },
    seconds: () => Math.round(seconds * 10) / 10,
  }
}

/** Waits until the cursor is in the field of that name. */
export async function cursorIn(page: Page, name: string): Promise<void> {
  const field = await find(page, name)
  await page.waitForFunction(element => document.activeElement === element, {}, field)
}
