import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import puppeteer, { type Browser, type HTTPRequest, type Page } from 'puppeteer-core'
import { chromium, chromiumFlags } from './site.js'

/** A visitor's whole browser, whose profile outlives it. */
export interface OwnBrowser {
  readonly open: (address: string) => Promise<Page>
  /** Ends all of its processes at once, as a crash or an empty battery would. */
  readonly kill: () => Promise<void>
  readonly close: () => Promise<void>
}

/** A profile on disk for browsers that come one after the other; `keeps: false` is one whose user lets no page keep anything. */
export async function makeProfile({ keeps }: { readonly keeps: boolean }): Promise<string> {
  const folder = await mkdtemp(join(tmpdir(), 'snowdrift-profile-'))
  const cookies = keeps ? 1 : 2
  await mkdir(join(folder, 'Default'))
  await writeFile(
    join(folder, 'Default', 'Preferences'),
    JSON.stringify({ profile: { default_content_setting_values: { cookies } } }),
  )
  return folder
}

export async function openBrowser(profile: string): Promise<OwnBrowser> {
  const browser: Browser = await puppeteer.launch({
    executablePath: chromium,
    args: chromiumFlags,
    userDataDir: profile,
    detached: true,
  } as Parameters<typeof puppeteer.launch>[0])
  return {
    open: async address => {
      const page = await browser.newPage()
      await page.setViewport({ width: 1280, height: 800 })
      await page.goto(address)
      return page
    },
    kill: async () => {
      const child = browser.process()
      const gone = new Promise(resolve => child?.once('exit', resolve))
      // Its helpers are in its group.
      if (child?.pid !== undefined) process.kill(-child.pid, 'SIGKILL')
      await gone
    },
    close: () => browser.close(),
  }
}

export function removeProfile(profile: string): Promise<void> {
  return rm(profile, { recursive: true, force: true, maxRetries: 5 })
}

/** Lets what is sent arrive, and loses the answers: of the first `count` requests that match. Gives how many were lost so far. */
export async function loseAnswers(
  page: Page,
  matches: (request: HTTPRequest) => boolean,
  count: number,
): Promise<() => number> {
  let lost = 0
  await page.setRequestInterception(true)
  page.on('request', request => {
    if (lost >= count || !matches(request)) return void request.continue()
    lost++
    void arrive(request).then(() => request.abort('connectionreset'))
  })
  return () => lost
}

async function arrive(request: HTTPRequest): Promise<void> {
  const { origin: _origin, ...headers } = request.headers()
  const body = await request.fetchPostData()
  await fetch(request.url(), { method: request.method(), headers, ...(body !== undefined && { body }) })
}

/** The device has no room left for this page. */
export async function fillDevice(page: Page): Promise<void> {
  const session = await page.createCDPSession()
  await session.send('Storage.overrideQuotaForOrigin', { origin: new URL(page.url()).origin, quotaSize: 1 })
  await page.evaluate(() => {
    for (let size = 1_000_000; size >= 1; size = Math.floor(size / 2))
      try {
        for (let n = 0; ; n++) localStorage.setItem(`filler ${size} ${n}`, 'x'.repeat(size))
      } catch {
        // Full for this size; smaller ones may still fit.
      }
  })
}
