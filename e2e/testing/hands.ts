import { setTimeout as pause } from 'node:timers/promises'
import type { ElementHandle, JSHandle, Page } from 'puppeteer-core'

/** How long something may take to appear: long, for a shared machine may stand still for half a minute. */
const patienceMs = 60_000

/** What a person reads on the page, with plain spaces and slashes for the typographer’s own. */
export async function textOf(page: Page, selector = 'body'): Promise<string> {
  const text = await page.$eval(selector, element => (element as HTMLElement).innerText)
  return plainly(text)
}

/** Waits until the page, or a part of it, says something. */
export async function see(page: Page, words: string | RegExp, selector = 'body'): Promise<void> {
  const pattern = typeof words === 'string' ? escape(words) : words.source
  try {
    await page.waitForFunction(
      (where: string, source: string) => {
        const text = document.querySelector<HTMLElement>(where)?.innerText ?? ''
        return new RegExp(source).test(text.replaceAll('\u2044', '/').replace(/\s+/g, ' '))
      },
      { timeout: patienceMs },
      selector,
      pattern,
    )
  } catch {
    throw new Error(
      `Expected ${selector} to say ${pattern}; it says: ${(await textOf(page, selector)).slice(0, 1500)}`,
    )
  }
}

/** Finds by accessible name, as a screen reader would. */
export async function find(page: Page, name: string): Promise<ElementHandle<HTMLElement>> {
  const handle = await page.waitForSelector(`::-p-aria([name="${name}"])`, { timeout: patienceMs })
  if (!handle) throw new Error(`Nothing on the page is called “${name}”`)
  return handle as ElementHandle<HTMLElement>
}

/** Presses what has that name. */
export function press(page: Page, name: string): Promise<void> {
  return pressAt(page, `::-p-aria([name="${name}"])`)
}

/**
 * Presses what is found there as soon as it stands still: nobody hits what is moving away, or being drawn anew. What moved
 * away all the same, out of sight or from under the press, is looked for and pressed again, as a person would.
 */
export async function pressAt(page: Page, selector: string): Promise<void> {
  const target = await page.locator(selector).setTimeout(patienceMs).waitHandle()
  const hits = await target.evaluateHandle(watchHits)
  const until = performance.now() + patienceMs
  for (;;) {
    try {
      await target.evaluate(bringOut)
      await page.locator(selector).setTimeout(scrollAgainMs).click()
      if (await isHit(hits)) return
    } catch (error) {
      if (performance.now() > until) throw error
      // a page that is gone throws at once, again and again: it must not take the cores from the others
      await pause(50)
    }
    if (performance.now() > until) throw new Error(`Pressed at ${selector}, and hit something else each time`)
  }
}

/** The driver brings a thing into sight once; what is pushed out of it again then would be waited for in vain. */
const scrollAgainMs = 10_000

/** From under what lies over it, such as the foot of a column: the driver only looks whether it is on the screen. */
function bringOut(on: Element): void {
  const { left, top, width, height } = on.getBoundingClientRect()
  const over = document.elementFromPoint(left + width / 2, top + height / 2)
  if (!over || !(on.contains(over) || over.contains(on))) on.scrollIntoView({ block: 'center' })
}

interface Hits {
  readonly on: Node
  hit: boolean
}

function watchHits(on: Node): Hits {
  const hits = { on, hit: false }
  addEventListener('click', event => (hits.hit ||= event.composedPath().includes(on)), { capture: true })
  return hits
}

/** Where the page or the element is gone, the press has done its work. */
async function isHit(hits: JSHandle<Hits>): Promise<boolean> {
  try {
    return await hits.evaluate(async seen => {
      const until = performance.now() + 500
      while (!seen.hit && seen.on.isConnected && performance.now() < until)
        await new Promise(resolve => setTimeout(resolve, 20))
      return seen.hit || !seen.on.isConnected
    })
  } catch {
    return true
  }
}

/** Swipes up or down with one finger, in one go: between two answers a slow machine would hold the finger still. */
export async function swipe(page: Page, from: { x: number; y: number }, byY: number): Promise<void> {
  const hand = await page.createCDPSession()
  const steps = 6
  const points = Array.from({ length: steps }, (_, step) => ({
    x: from.x,
    y: from.y + (byY * (step + 1)) / steps,
  }))
  await Promise.all([
    hand.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [from] }),
    ...points.map(point =>
      hand.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: [point] }),
    ),
    hand.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] }),
  ])
  await hand.detach()
}

/** Longer than a finger rests on a piece before it moves it. */
const heldMs = 400

/** Puts two fingers down side by side and draws them from so far apart to so far apart. */
export async function pinch(
  page: Page,
  { x, y }: { x: number; y: number },
  fromApart: number,
  toApart: number,
): Promise<void> {
  const hand = await page.createCDPSession()
  const fingers = (apart: number) => [
    { x: x - apart / 2, y, id: 0 },
    { x: x + apart / 2, y, id: 1 },
  ]
  const steps = 5
  // one finger after the other, as hands have it, and slowly: a piece that is held so long comes loose
  for (const down of [1, 2])
    await hand.send('Input.dispatchTouchEvent', {
      type: 'touchStart',
      touchPoints: fingers(fromApart).slice(0, down),
    })
  await page.evaluate(ms => new Promise(resolve => setTimeout(resolve, ms)), heldMs)
  for (let step = 1; step <= steps; step++) {
    const apart = fromApart + ((toApart - fromApart) * step) / steps
    await hand.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: fingers(apart) })
  }
  await hand.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
  await hand.detach()
}

/** Types into the field of that name, over whatever stood there. */
export async function fill(page: Page, name: string, text: string): Promise<void> {
  const field = await find(page, name)
  await field.evaluate(element => {
    element.focus()
    ;(element as HTMLInputElement).select()
  })
  await page.keyboard.press('Backspace')
  await page.keyboard.type(text)
}

export async function choose(page: Page, name: string, value: string): Promise<void> {
  await (await find(page, name)).select(value)
}

export async function valueOf(page: Page, name: string): Promise<string> {
  return (await find(page, name)).evaluate(element => (element as HTMLInputElement).value)
}

/** Waits until a field says something. */
export async function seeValue(page: Page, name: string, value: string): Promise<void> {
  const field = await find(page, name)
  try {
    await page.waitForFunction(
      (element: HTMLElement, awaited: string) => (element as HTMLInputElement).value === awaited,
      { timeout: patienceMs },
      field,
      value,
    )
  } catch {
    throw new Error(`Expected ${name} to be “${value}”; it is “${await valueOf(page, name)}”`)
  }
}

export async function undo(page: Page): Promise<void> {
  await page.keyboard.down('Control')
  await page.keyboard.press('z')
  await page.keyboard.up('Control')
}

/** The address of a cover on the shelf by its name. */
export async function addressOf(page: Page, name: string): Promise<string> {
  const link = await find(page, name)
  return link.evaluate(element => (element as HTMLAnchorElement).pathname)
}

function plainly(text: string): string {
  return text.replaceAll('\u2044', '/').replace(/\s+/g, ' ')
}

function escape(words: string): string {
  return words.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`)
}
