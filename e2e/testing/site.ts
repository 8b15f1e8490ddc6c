import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { expect } from 'chai'
import { findFreePort, serve, startCluster, type Cluster, type Server } from '@snowdrift/server'
import puppeteer, { type Browser, type BrowserContext, type Page } from 'puppeteer-core'
import { slowDown } from './slow-down.js'

export const chromium = '/usr/bin/chromium'
const quiet = { info: () => undefined, error: () => undefined }
/** By which other devices know the machine: no browser takes it for its own. */
const outsideName = 'hut.example'
export const chromiumFlags = [
  '--no-sandbox',
  '--disable-gpu',
  // Without a card each picture in the round would take the machine from the stories beside it.
  '--disable-3d-apis',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  `--host-resolver-rules=MAP ${outsideName} 127.0.0.1`,
]

/** The built application with the demo workshop on a database of its own, and a browser before it. */
export interface Site {
  readonly address: () => string
  readonly server: () => Server
  /** A fresh visitor: storage and service worker of its own. */
  readonly visit: (path: string, size?: Size) => Promise<Page>
  /** The same by the way in for other devices: a plain address, which a browser does not trust. */
  readonly visitOutside: (path: string, size?: Size) => Promise<Page>
  /** Another window of the same visitor. */
  readonly anotherWindow: (page: Page, path: string) => Promise<Page>
  readonly goDown: () => Promise<void>
  /** With the workshop that it had, or another. */
  readonly comeUp: (workshop?: 'demo' | 'home') => Promise<void>
  /** What its pages had to complain of on the console so far, each with where. */
  readonly complaints: () => readonly string[]
  /** What each of its windows shows: for whoever reads that a story failed, and was not there. */
  readonly shown: () => Promise<readonly string[]>
  /** Fails where a page complained of anything but an answer that it did not get. */
  readonly close: () => Promise<void>
}

export interface Size {
  readonly width: number
  readonly height: number
  /** Under fingers. */
  readonly touch?: boolean
}

export const desk: Size = { width: 1280, height: 800 }
export const phone: Size = { width: 390, height: 844 }

/** Pictures in the round are reckoned without a graphics card; without these flags a browser draws none. */
export const roundFlags = [
  ...chromiumFlags.filter(flag => flag !== '--disable-gpu' && flag !== '--disable-3d-apis'),
  '--use-angle=swiftshader',
  '--enable-unsafe-swiftshader',
]

interface SiteOptions {
  readonly demo?: boolean
  /** People sign in to it. */
  readonly hosted?: boolean
  /** How the browser is started. */
  readonly flags?: readonly string[]
}

/** With the demo workshop unless said otherwise: a workshop that nobody has worked in yet is an empty shelf. */
export async function openSite({
  demo = true,
  hosted = false,
  flags = chromiumFlags,
}: SiteOptions = {}): Promise<Site> {
  const folder = await mkdtemp(join(tmpdir(), 'snowdrift-e2e-'))
  const cluster = await startCluster(folder, { careless: true })
  const sharePort = await findFreePort()
  const outside = `http://${outsideName}:${sharePort}`
  const share = { port: sharePort, url: outside }
  // The one plain address that a browser trusts by its name, as passkeys need it.
  const ownPort = hosted ? await findFreePort() : 0
  const hosting = hosted && { hosted: { origin: `http://localhost:${ownPort}`, isOpen: false } }
  let server = await start(cluster, { port: ownPort, demo, share, ...hosting })
  const { port } = new URL(server.address)
  const browser = await puppeteer.launch({ executablePath: chromium, args: [...flags] })
  const complaints: string[] = []
  return {
    address: () => server.address,
    server: () => server,
    visit: async (path, size = desk) =>
      openPage(await browser.createBrowserContext(), server.address + path, size, complaints),
    visitOutside: async (path, size = desk) =>
      openPage(await browser.createBrowserContext(), outside + path, size, complaints),
    anotherWindow: (page, path) => openPage(page.browserContext(), server.address + path, desk, complaints),
    goDown: () => server.close(),
    comeUp: async (workshop = demo ? 'demo' : 'home') => {
      server = await start(cluster, { port: Number(port), demo: workshop === 'demo', share, ...hosting })
    },
    complaints: () => complaints,
    shown: async () => Promise.all((await browser.pages()).map(tellShown)),
    close: async () => {
      await closeAll(browser, server, cluster, folder)
      expect(complaints.filter(text => !text.includes('Failed to load resource'))).to.deep.equal([])
    },
  }
}

/** A shop that is always open, quick and stocked: it sells padding by the metre. */
const shop: NonNullable<Parameters<typeof serve>[0]['shop']> = {
  name: 'Test shop',
  offers: async role =>
    Promise.resolve({
      kind: 'offers',
      offers:
        role === 'padding'
          ? [
              {
                id: 'p',
                role,
                name: 'Test foam',
                thicknessMm: 3,
                shrinkage: 0,
                widthMm: 1500,
                pricePerMetre: 20,
                cuts: [],
                stockMm: 9000,
              },
            ]
          : [],
    }),
}

type StartOptions = Pick<Parameters<typeof serve>[0], 'port' | 'demo' | 'share' | 'hosted'>

async function start({ url }: Cluster, options: StartOptions): Promise<Server> {
  const webFolder = resolve(import.meta.dirname, '../../packages/web/dist')
  return serve({ databaseUrl: url, log: quiet, webFolder, shop, ...options })
}

/** As long as for what is seen: a shared machine may stand still for half a minute. */
const patienceMs = 60_000

/** So many times slower than it is, with answers that come late: finds the stories that look before there is something to see. */
const slowness = Number(process.env['SNOWDRIFT_SLOW'] ?? 1)

async function openPage(
  context: BrowserContext,
  address: string,
  { touch = false, ...size }: Size,
  complaints: string[],
): Promise<Page> {
  const page = await context.newPage()
  page.setDefaultTimeout(patienceMs)
  page.on('console', said => {
    if (said.type() === 'error') complaints.push(`${new URL(page.url()).pathname}: ${said.text()}`)
  })
  page.on('pageerror', error => complaints.push(`${new URL(page.url()).pathname}: ${String(error)}`))
  await page.setViewport({ ...size, hasTouch: touch, isMobile: touch })
  if (slowness > 1) {
    await page.emulateCPUThrottling(slowness)
    await slowDown(page, 200 * slowness)
  }
  await page.goto(address)
  return page
}

async function tellShown(page: Page): Promise<string> {
  const { pathname } = new URL(page.url())
  const shown = page.evaluate(() => ({
    text: document.body.innerText.replace(/\s+/g, ' ').slice(0, 700),
    focus: document.activeElement?.outerHTML.slice(0, 160) ?? 'nothing',
    isInFront: document.hasFocus() && document.visibilityState === 'visible',
  }))
  try {
    const { text, focus, isInFront } = await within(5_000, shown)
    return `${pathname}, ${isInFront ? 'in front' : 'behind'}, the focus on ${focus}\n${text}`
  } catch (error) {
    return `${pathname} does not answer: ${String(error)}`
  }
}

async function within<T>(ms: number, answer: Promise<T>): Promise<T> {
  const late = new Promise<never>((_, reject) =>
    setTimeout(() => {
      reject(new Error(`nothing within ${ms} ms`))
    }, ms),
  )
  return Promise.race([answer, late])
}

async function closeAll(browser: Browser, server: Server, cluster: Cluster, folder: string): Promise<void> {
  await browser.close()
  await server.close()
  await cluster.stop()
  await rm(folder, { recursive: true, force: true })
}
