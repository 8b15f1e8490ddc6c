import { invitationLink, type MemberRole } from '@snowdrift/core'
import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { axe } from './testing/axe.js'
import { choose, fill, press, pressAt, see, textOf, valueOf } from './testing/hands.js'
import { phone as phoneSize, type Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

const passphrase = 'marmot bracket yonder pewter'

describe('people where Snowdrift is hosted', function () {
  this.timeout(180_000)
  let site: Site
  let owner: Page
  let other: Page
  let ledger = ''
  /** A recovery code of whoever joined last, as it is shown. */
  let code = ''
  useSite(
    async opened => {
      site = opened
      const { repositories, workshop } = site.server()
      await repositories.people.members.rename(workshop, 'The hut')
      const { items } = await repositories.covers.list(workshop, { limit: 100 })
      ledger = `/covers/${items.find(({ file }) => file.name === 'Hut ledger, with ties')?.id ?? ''}`
    },
    { hosted: true },
  )
  const saved = (page: Page) => see(page, /^Saved$/, '[aria-label="Saving"]')
  const invite = async (role: MemberRole) => {
    const { repositories, workshop } = site.server()
    const invited = await repositories.people.members.invite(workshop, role)
    return invitationLink(site.address(), invited?.token ?? '')
  }
  /** The end of joining: the codes are seen, and the shelf is. */
  const keepCodes = async (page: Page) => {
    await see(page, 'each of these lets you in, once')
    code = await page.$eval('[data-recovery-code]', shown => shown.getAttribute('data-recovery-code') ?? '')
    expect(await axe(page)).to.deep.equal([])
    await press(page, 'I have kept them: to the shelf')
    await see(page, 'Hut ledger, with ties')
  }

  it('see nothing but where they sign in, whatever they open', async () => {
    owner = await site.visit(ledger)
    await see(owner, 'Sign in', 'h1')
    expect(await textOf(owner)).not.to.contain('Hut ledger')
    expect(await axe(owner)).to.deep.equal([])
    await fill(owner, 'Name to sign in by', 'nobody')
    await fill(owner, 'Passphrase', 'whatever it may be')
    await pressAt(owner, 'button[type="submit"]')
    await see(owner, 'That does not fit')
  })

  it('join by an invitation, with a passkey and without a passphrase', async () => {
    await holdPasskeys(owner)
    const link = await invite('owner')
    await owner.goto('about:blank')
    await owner.goto(link)
    await see(owner, 'You are invited to “The hut”, as an owner.')
    await see(owner, 'Kept of you are your name')
    await see(owner, 'By joining you agree to that.')
    expect(await axe(owner)).to.deep.equal([])
    await fill(owner, 'Your name', 'Ida')
    await fill(owner, 'Name to sign in by', 'ida')
    await press(owner, 'Join')
    await keepCodes(owner)
    await owner.goto(link)
    await see(owner, 'This link leads nowhere')
  })

  it('invite others, who join on a phone by a passphrase that would not be guessed', async () => {
    await owner.goto(`${site.address()}/settings`)
    await see(owner, 'You are signed in as Ida, in “The hut” as an owner.')
    await owner.goto(`${site.address()}/people`)
    await pressAt(owner, '::-p-aria([name="Guest"][role="radio"])')
    await press(owner, 'Make a link')
    await see(owner, 'Give this link to one person, as a guest.')
    expect(await axe(owner)).to.deep.equal([])
    const link = await valueOf(owner, 'The invitation')
    other = await site.visit('/sign-in', phoneSize)
    await other.goto(link)
    await see(other, 'You are invited to “The hut”, as a guest.')
    await fill(other, 'Your name', 'Mads')
    await fill(other, 'Name to sign in by', 'mads')
    await press(other, 'A passphrase')
    await fill(other, 'Passphrase', 'madsmadsmads')
    await see(other, 'Guessed soon')
    await press(other, 'Join')
    await see(other, 'It would be guessed')
    await fill(other, 'Passphrase', passphrase)
    await see(other, 'Very good')
    expect(await axe(other)).to.deep.equal([])
    await press(other, 'Join')
    await keepCodes(other)
    // the owner sees it as it happens
    await see(owner, 'Mads joined as a guest.')
    expect(await textOf(owner)).not.to.contain('Give this link')
  })

  it('look on as guests: they may try everything, and nothing of it is saved', async () => {
    await see(other, 'You look on in “The hut”')
    await other.goto(`${site.address()}${ledger}/measure`)
    await see(other, 'You look on', '[aria-label="Saving"]')
    await fill(other, 'Name of the cover', 'Hut ledger, as I would')
    await see(other, 'Tried, and not saved: you look on', '[aria-label="Saving"]')
    await new Promise(resolve => setTimeout(resolve, 1500))
    const { repositories, workshop } = site.server()
    const row = await repositories.covers.find(workshop, ledger.split('/')[2] ?? '')
    expect(row?.file.name).to.equal('Hut ledger, with ties')
    await other.reload()
    await see(other, 'You look on', '[aria-label="Saving"]')
    expect(await valueOf(other, 'Name of the cover')).to.equal('Hut ledger, with ties')
    await other.goto(`${site.address()}/`)
    await press(other, 'Delete Hut ledger, with ties')
    await see(other, 'As a guest of this workshop you see everything and change nothing.')
  })

  it('work as makers from the moment they are made some, and the others see it as it happens', async () => {
    await choose(owner, 'What Mads may do', 'maker')
    await see(owner, 'Ida made Mads a maker.')
    await other.goto(`${site.address()}${ledger}/measure`)
    await saved(other)
    expect(await textOf(other)).not.to.contain('You look on')
    await owner.goto(`${site.address()}/`)
    await see(owner, 'Hut ledger, with ties')
    await fill(other, 'Name of the cover', 'Hut ledger, by Mads')
    await saved(other)
    await see(owner, 'Hut ledger, by Mads', 'ul[aria-label="Covers"]')
    await other.goto(`${site.address()}/people`)
    await see(other, 'Maker, since')
    expect(await textOf(other)).not.to.contain('What happened')
    expect(await axe(other)).to.deep.equal([])
  })

  it('leave nothing on a device where they sign out, and come in again by their passkey', async () => {
    await owner.goto(`${site.address()}/account`)
    await see(owner, 'Your workshops')
    expect(await axe(owner)).to.deep.equal([])
    await press(owner, 'Sign out: here')
    await see(owner, 'Everything that this device keeps of the workshop is taken off it.', '[data-modal]')
    await press(owner, 'Sign out')
    await see(owner, 'Sign in', 'h1')
    const left = await owner.evaluate(async () => ({
      answers: (await caches.keys()).filter(name => name.startsWith('snowdrift-answers')),
      keys: Object.keys(localStorage).filter(key => key.includes('account')),
      cookies: document.cookie,
    }))
    expect(left).to.deep.equal({ answers: [], keys: [], cookies: '' })
    await owner.goto(`${site.address()}${ledger}/measure`)
    await press(owner, 'With a passkey')
    await saved(owner)
    expect(await valueOf(owner, 'Name of the cover')).to.equal('Hut ledger, by Mads')
  })

  it('show once more that it is they, before what is hard to take back', async () => {
    const { database } = site.server()
    await database.sequelize.query(`UPDATE sessions SET confirmed_at = now() - interval '11 minutes'`)
    await other.goto(`${site.address()}/account`)
    await press(other, 'Make new ones')
    await see(other, 'Is it you?', '[data-modal]')
    expect(await axe(other)).to.deep.equal([])
    // the cursor stands where something is asked
    expect(await other.evaluate(() => document.activeElement?.getAttribute('type'))).to.equal('password')
    await fill(other, 'Passphrase', 'not the passphrase')
    await press(other, 'It is me')
    await see(other, 'That does not fit', '[data-modal]')
    await fill(other, 'Passphrase', passphrase)
    await press(other, 'It is me')
    await see(other, 'each of these lets you in, once')
    code = await other.$eval('[data-recovery-code]', shown => shown.getAttribute('data-recovery-code') ?? '')
  })

  it('come in by a code when all else is lost, and are out wherever they were', async () => {
    const lost = await site.visit('/sign-in')
    await press(lost, 'Come in by a recovery code')
    await fill(lost, 'Name to sign in by', 'mads')
    await fill(lost, 'Recovery code', code)
    await fill(lost, 'New passphrase', 'velvet harrow ninepins cobalt')
    expect(await axe(lost)).to.deep.equal([])
    await press(lost, 'Come in')
    await see(lost, 'Hut ledger, by Mads')
    // the phone hears of it by itself
    await see(other, 'Sign in', 'h1')
    // and is told why, once somebody comes in there again
    await fill(other, 'Name to sign in by', 'mads')
    await fill(other, 'Passphrase', 'velvet harrow ninepins cobalt')
    await other.keyboard.press('Enter')
    await see(other, 'Somebody came in as you by a recovery code on')
    expect(await axe(other)).to.deep.equal([])
    await press(other, 'That was me')
    await other.waitForSelector('section[aria-label="Your account"]', { hidden: true })
    await other.browserContext().close()
    other = lost
  })

  it('see nothing of a workshop any more once they are sent away, at once', async () => {
    await owner.goto(`${site.address()}/people`)
    await press(owner, 'Send away: Mads')
    await see(owner, 'They see nothing of it any more', '[data-modal]')
    await press(owner, 'Send away')
    await see(other, 'You belong to no workshop')
    expect(await textOf(other)).not.to.contain('Hut ledger')
    expect(await axe(other)).to.deep.equal([])
    await see(owner, 'Ida sent Mads away.')
    await other.goto(`${site.address()}/`)
    await see(other, 'You belong to no workshop')
    await press(other, 'Your account')
    await see(other, 'None. Open an invitation to one.')
    expect(await textOf(other)).not.to.contain('Who belongs to this workshop')
    // and are back by another invitation, with the account that they have
    await other.goto(await invite('maker'))
    await see(other, 'You are signed in as Mads.')
    await press(other, 'Join with this account')
    await see(other, 'Hut ledger, by Mads')
  })

  it('cannot leave a workshop without an owner, and take it along when they delete their account', async () => {
    await owner.goto(`${site.address()}/people`)
    await press(owner, 'Leave: The hut')
    await press(owner, 'Leave')
    await see(owner, 'A workshop needs an owner.', '[data-modal]')
    await owner.goto(`${site.address()}/account`)
    await press(owner, 'Delete your account …')
    await see(owner, 'With it goes every workshop that you alone own', '[data-modal]')
    expect(await axe(owner)).to.deep.equal([])
    await press(owner, 'Yes, for good: it cannot be brought back')
    await press(owner, 'Delete it')
    // signed in a while ago, as the story above has it
    await press(owner, 'With a passkey')
    await see(owner, 'Sign in', 'h1')
    await see(other, 'You belong to no workshop')
    const { database } = site.server()
    const [left] = await database.sequelize.query('SELECT 1 FROM covers')
    expect(left).to.deep.equal([])
  })
})

/** Gives a page a device that holds passkeys, and shows them as a finger would. */
async function holdPasskeys(page: Page): Promise<void> {
  const devtools = await page.createCDPSession()
  await devtools.send('WebAuthn.enable')
  await devtools.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  })
}
