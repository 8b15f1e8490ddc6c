import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { axe } from './testing/axe.js'
import { addressOf, fill, find, press, pressAt, see, textOf, valueOf } from './testing/hands.js'
import { phone as phoneSize, type Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('a phone beside the machine', function () {
  this.timeout(180_000)
  let site: Site
  /** The machine on which Snowdrift runs, and a phone in the same network. */
  let machine: Page
  let phone: Page
  let ledger = ''
  useSite(async opened => {
    site = opened
    machine = await site.visit('/')
    ledger = await addressOf(machine, 'Hut ledger, with ties')
  })
  const outside = () => new URL(site.server().sharing.state().addresses[0] ?? '').origin
  const saved = (page: Page) => see(page, /^Saved$/, '[aria-label="Saving"]')
  const stepCount = (page: Page) => page.$eval('[data-count]', count => count.textContent)

  it('cannot reach it before it is let', async () => {
    expect(site.server().sharing.state().isOn).to.equal(false)
    await machine.goto(`${site.address()}/settings`)
    await see(machine, 'Phones and tablets')
    await press(machine, 'Let others in this network reach Snowdrift')
    await see(machine, 'They find it at')
    await see(machine, 'can be read by others in this network')
    expect(site.server().sharing.state().isOn).to.equal(true)
  })

  it('sees nothing but where it is let in', async () => {
    phone = await site.visitOutside(`${ledger}/bench`, phoneSize)
    await see(phone, 'Let this device in')
    expect(await textOf(phone)).not.to.contain('Hut ledger')
    expect(await axe(phone)).to.deep.equal([])
    await fill(phone, 'Code', 'ABCD-EFGH')
    await press(phone, 'Let it in')
    await see(phone, 'No device can be let in with this code.')
  })

  it('comes in by the picture that the machine shows, once, and the machine says so', async () => {
    await press(machine, 'Let one in')
    const code = await machine.waitForSelector('[data-pairing-code]')
    const letters = (await code?.evaluate(shown => shown.getAttribute('data-pairing-code'))) ?? ''
    await find(machine, 'The address with the code, for a camera')
    expect(await axe(machine)).to.deep.equal([])
    await phone.goto(`${outside()}/pair#${letters}`)
    await see(phone, 'Let this device in')
    expect(await valueOf(phone, 'Code')).to.equal(`${letters.slice(0, 4)}-${letters.slice(4)}`)
    await fill(phone, 'Name of this device', 'Phone at the machine')
    await press(phone, 'Let it in')
    await see(phone, 'Hut ledger, with ties')
    await see(machine, '“Phone at the machine” is let in.')
    await see(machine, 'Phone at the machine here last today', 'ul[aria-label="Devices that are let in"]')
  })

  it('works on an address that its browser does not trust', async () => {
    expect(await phone.evaluate(() => isSecureContext)).to.equal(false)
    await phone.goto(`${outside()}/new`)
    await phone.goto(`${outside()}${ledger}/measure`)
    await saved(phone)
    await fill(phone, 'Name of the cover', 'Hut ledger, from the phone')
    await saved(phone)
    await phone.goto(`${outside()}${ledger}/take-away`)
    await press(phone, 'Make a link: To look at the project sheet')
    await phone.waitForFunction(() =>
      document.querySelector<HTMLInputElement>('[aria-label="The link"]')?.value.includes('/shared/'),
    )
    expect(await valueOf(phone, 'The link')).to.match(new RegExp(`^${outside()}/shared/`))
    await press(phone, 'Copy')
    await see(phone, 'Copied')
  })

  it('shows what is changed at the machine, and the other way round, without being asked', async () => {
    await phone.goto(`${outside()}/`)
    await see(phone, 'Hut ledger, from the phone')
    await machine.goto(`${site.address()}${ledger}/measure`)
    await saved(machine)
    expect(await valueOf(machine, 'Name of the cover')).to.equal('Hut ledger, from the phone')
    await fill(machine, 'Name of the cover', 'Hut ledger, with ties')
    await saved(machine)
    await see(phone, 'Hut ledger, with ties', 'ul[aria-label="Covers"]')
    // an open cover takes what is changed on the other, where nothing is unsaved
    await phone.goto(`${outside()}${ledger}/measure`)
    await saved(phone)
    await fill(phone, 'Height', '9 1/2')
    await saved(phone)
    await machine.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[data-reading="height"] input')?.value === '9 1/2',
    )
  })

  it('leads through the work while the machine looks on, step by step', async () => {
    await machine.goto(`${site.address()}${ledger}/bench`)
    await machine.waitForSelector('[data-step]')
    await phone.goto(`${outside()}${ledger}/bench`)
    await phone.waitForSelector('[data-step]')
    const before = await stepCount(machine)
    await phone.keyboard.press('Space')
    await machine.waitForFunction(
      was => document.querySelector('[data-count]')?.textContent !== was,
      {},
      before,
    )
    expect(await stepCount(machine)).to.equal(await stepCount(phone))
    const then = await stepCount(phone)
    await machine.keyboard.press('Space')
    await phone.waitForFunction(was => document.querySelector('[data-count]')?.textContent !== was, {}, then)
  })

  it('hears on its own what was changed while it slept', async () => {
    await phone.goto(`${outside()}/`)
    await see(phone, 'Star atlas, padded')
    const atlas = await addressOf(phone, 'Star atlas, padded')
    await phone.setOfflineMode(true)
    await machine.goto(`${site.address()}${atlas}/measure`)
    await saved(machine)
    await fill(machine, 'Name of the cover', 'Star atlas, for the tower')
    await saved(machine)
    await phone.setOfflineMode(false)
    await see(phone, 'Star atlas, for the tower', 'ul[aria-label="Covers"]')
  })

  it('says what its address does not allow, and is sent away at the machine, at once', async () => {
    await phone.goto(`${outside()}/settings`)
    await see(phone, 'This one is let in as “Phone at the machine”.')
    await see(phone, 'opens only while that machine can be reached')
    expect(await textOf(phone)).not.to.contain('Let others in this network')
    await machine.goto(`${site.address()}/settings`)
    await press(machine, 'Send away: Phone at the machine')
    await see(phone, 'Let this device in')
    await machine.waitForFunction(() => !document.body.textContent.includes('Phone at the machine'))
  })

  it('leaves of itself, and nothing of the workshop stays on it', async () => {
    const { code } = await site.server().repositories.devices.openCode(site.server().workshop)
    await phone.goto(`${outside()}/pair#${code}`)
    await press(phone, 'Let it in')
    await see(phone, 'Star atlas, for the tower')
    await phone.goto(`${outside()}/settings`)
    await onDevice(phone, 'keep')
    expect(await onDevice(phone, 'count')).to.equal(1)
    await press(phone, 'Leave with this device …')
    await see(phone, 'it needs a new code', '[data-modal]')
    await press(phone, 'Leave')
    await see(phone, 'Let this device in')
    expect(await onDevice(phone, 'count')).to.equal(0)
    const keys = await phone.evaluate(() => Object.keys(localStorage))
    expect(keys.filter(key => /account|waits/.test(key))).to.deep.equal([])
    await phone.goto(`${outside()}/`)
    await see(phone, 'Let this device in')
  })
})

/** Keeps something of a form as the page does, or counts what is kept. */
function onDevice(page: Page, what: 'keep' | 'count'): Promise<number> {
  return page.evaluate(
    asked =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('snowdrift')
        opening.onerror = () => reject(new Error('not opened'))
        opening.onsuccess = () => {
          const store = opening.result.transaction('kept', 'readwrite').objectStore('kept')
          if (asked === 'keep') store.put({ of: 'form/of-somebody', window: 'gone', at: 0, value: {} })
          const counting = store.count()
          counting.onsuccess = () => {
            opening.result.close()
            resolve(counting.result)
          }
        }
      }),
    what,
  )
}

describe('what a device keeps for when the server is away', function () {
  this.timeout(180_000)
  let site: Site
  useSite(opened => {
    site = opened
  })
  const answersKept = (page: Page) =>
    page.evaluate(async () => {
      const names = (await caches.keys()).filter(name => name.startsWith('snowdrift-answers '))
      const kept = await Promise.all(names.map(async name => (await caches.open(name)).keys()))
      return { names, paths: kept.flat().map(({ url }) => new URL(url).pathname) }
    })

  it('belongs to one workshop: another finds neither its answers nor its unsaved work', async () => {
    const page = await site.visit('/')
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
    const atlas = await addressOf(page, 'Star atlas, padded')
    await page.goto(`${site.address()}${atlas}/take-away`)
    await see(page, 'Links for others')
    await page.goto(`${site.address()}${atlas}/measure`)
    await see(page, /^Saved$/, '[aria-label="Saving"]')
    const { workshop } = site.server()
    const ofDemo = await answersKept(page)
    expect(ofDemo.names).to.deep.equal([`snowdrift-answers ${workshop}`])
    expect(ofDemo.paths).to.include('/api/settings').and.include(`/api${atlas}`)
    // links that may be taken back, devices and what is told live are not kept
    expect(ofDemo.paths.filter(path => /\/(shares|devices|live|archive)/.test(path))).to.deep.equal([])
    await site.goDown()
    await fill(page, 'Name of the cover', 'Star atlas, unsaved')
    await see(page, 'Server away: kept on this device', '[aria-label="Saving"]')
    await page.goto('about:blank')
    await site.comeUp('home')
    await page.goto(`${site.address()}/`)
    await see(page, 'Cover something')
    await page.waitForFunction(
      async demo => !(await caches.keys()).includes(`snowdrift-answers ${demo}`),
      {},
      workshop,
    )
    await page.reload()
    await see(page, 'Cover something')
    const home = site.server()
    expect((await home.repositories.covers.list(home.workshop, { limit: 10 })).items).to.deep.equal([])
    expect(await textOf(page)).not.to.contain('Star atlas')
    // back with whose it is, the unsaved work is there and is saved
    await site.goDown()
    await site.comeUp('demo')
    await page.goto(`${site.address()}/`)
    await see(page, 'Star atlas, unsaved')
    await pressAt(page, 'header a[href="/settings"]')
    await page.browserContext().close()
  })
})
