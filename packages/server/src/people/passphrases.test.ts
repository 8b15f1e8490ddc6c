import { verify } from '@node-rs/argon2'
import { expect } from 'chai'
import { passphrase, useHosted } from '../testing/visitor.js'
import { createPassphrases, pepperOf } from './passphrases.js'
import type { Pepper } from './peppers.js'

const pepper = (name: string): Pepper => ({
  name,
  secret: Buffer.from(`${name} of forty signs that nobody guesses`),
})
const [older, newer] = [pepper('older'), pepper('newer')]
const other = 'velvet harrow ninepins cobalt'

describe('a passphrase as it is kept', function () {
  this.timeout(60_000)

  it('is argon2id with 19 MiB and two passes, each time with another salt', async () => {
    const { hash, fits } = createPassphrases([])
    const [one, again] = [await hash(passphrase), await hash(passphrase)]
    expect(one).to.match(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/)
    expect(one).to.not.equal(again)
    expect([await fits(passphrase, one), await fits(other, one), await fits(passphrase, null)]).to.deep.equal(
      [...[true, false, false]],
    )
  })

  it('is made with a secret that is not in it, and fits nothing without that', async () => {
    const { hash, fits, isOld } = createPassphrases([newer])
    const kept = await hash(passphrase)
    expect(pepperOf(kept)).to.equal('newer')
    expect(kept).to.not.include(newer.secret.toString())
    expect([await fits(passphrase, kept), await fits(other, kept), await isOld(kept)]).to.deep.equal([
      ...[true, false, false],
    ])
    // whoever has the database alone, or another secret, has nothing to compare guesses with
    expect(await verify(kept.slice('newer'.length), passphrase)).to.equal(false)
    expect(await createPassphrases([]).fits(passphrase, kept)).to.equal(false)
    expect(await createPassphrases([{ ...older, name: 'newer' }]).fits(passphrase, kept)).to.equal(false)
  })

  it('fits still once there is a newer secret, and is known to be old', async () => {
    const kept = await createPassphrases([older]).hash(passphrase)
    const bare = await createPassphrases([]).hash(passphrase)
    const now = createPassphrases([newer, older])
    for (const hashed of [kept, bare])
      expect([await now.fits(passphrase, hashed), await now.isOld(hashed)]).to.deep.equal([true, true])
    // and where there is none any more
    expect(await createPassphrases([]).isOld(bare)).to.equal(false)
    expect(await createPassphrases([]).isOld(kept)).to.equal(true)
  })
})

describe('signing in where a secret goes into passphrases', function () {
  this.timeout(120_000)
  const { app, join, signIn, visitor } = useHosted({ peppers: [newer, older] })
  const kept = async (signInName: string) =>
    (await app().repositories.people.persons.findBySignInName(signInName))?.passphraseHash ?? ''

  it('makes a hash anew that was made without one, or with an older, and leaves others alone', async () => {
    await join('ida')
    const { persons } = app().repositories.people
    const made = await kept('ida')
    expect(pepperOf(made)).to.equal('newer')
    await signIn('ida')
    expect(await kept('ida')).to.equal(made)
    const id = (await persons.findBySignInName('ida'))?.id ?? ''
    for (const before of [[], [older]]) {
      await persons.setPassphrase(id, await createPassphrases(before).hash(passphrase))
      const wrong = await visitor().ask('POST', '/api/enter', {
        signInName: 'ida',
        passphrase: other,
        device: 'Phone',
      })
      expect(wrong.status).to.equal(403)
      expect(pepperOf(await kept('ida'))).to.equal(before[0]?.name ?? '')
      await signIn('ida')
      expect(pepperOf(await kept('ida'))).to.equal('newer')
    }
    await signIn('ida')
  })

  it('does not put back what was changed meanwhile', async () => {
    await join('mads')
    const { persons } = app().repositories.people
    const person = await persons.findBySignInName('mads')
    const now = await kept('mads')
    await persons.rehash(person?.id ?? '', 'what stood there before', 'a hash of the old one')
    expect(await kept('mads')).to.equal(now)
    await persons.rehash(person?.id ?? '', now, 'anew')
    expect(await kept('mads')).to.equal('anew')
    expect(await persons.countByPepper()).to.deep.include({ pepper: 'newer', people: 1 })
  })
})
