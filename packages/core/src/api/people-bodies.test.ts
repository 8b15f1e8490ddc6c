import { expect } from 'chai'
import {
  readJoinBody,
  readProofBody,
  readRecoverBody,
  readRoleBody,
  readSignInBody,
} from './people-bodies.js'
import { formatRecoveryCode, invitationLink, memberRoles, parseRecoveryCode } from './people.js'
import { mayRoleChange } from './who-is-here.js'

const token = 'A'.repeat(43)
const ceremony = '0b0b0b0b-0b0b-4b0b-8b0b-0b0b0b0b0b0b'

describe('what people send of themselves', () => {
  const joining = {
    token,
    signInName: 'ida',
    name: 'Ida',
    device: 'Phone',
    passphrase: 'marmot bracket yonder pewter',
  }
  const pathsOf = (result: ReturnType<typeof readJoinBody>) =>
    result.ok ? [] : result.issues.map(({ path }) => path)
  const signInNameOf = (signInName: string) => {
    const result = readJoinBody({ ...joining, signInName })
    return result.ok ? result.value.signInName : undefined
  }

  it('is a name to sign in by that is the same however it is typed', () => {
    expect(signInNameOf(' Ida ')).to.equal('ida')
    // Å as one letter, and as A with a ring
    expect(signInNameOf('\u00C5se')).to.equal(signInNameOf('A\u030Ase'))
    expect(signInNameOf('ＩＤＡ')).to.equal('ida')
    expect(signInNameOf('ida@covers.example')).to.equal('ida@covers.example')
    for (const none of ['', 'ab', '.ida', 'two words', 'x'.repeat(61), 'i\u200Bda', 'ida\n'.repeat(2)])
      expect(signInNameOf(none), JSON.stringify(none)).to.equal(undefined)
  })

  it('is a passphrase of twelve signs or more, whatever they are, of which nothing is cut off', () => {
    const isTaken = (passphrase: string) => readJoinBody({ ...joining, passphrase }).ok
    expect([isTaken('x'.repeat(11)), isTaken('x'.repeat(12))]).to.deep.equal([false, true])
    expect([isTaken('x'.repeat(128)), isTaken('x'.repeat(129))]).to.deep.equal([true, false])
    // a sign that takes two places in memory is one sign
    expect([isTaken('🏔'.repeat(11)), isTaken('🏔'.repeat(12))]).to.deep.equal([false, true])
    const said = readJoinBody({ ...joining, passphrase: ' two  blanks at both ends ' })
    expect(said.ok && 'passphrase' in said.value && said.value.passphrase).to.equal(
      ' two  blanks at both ends ',
    )
    const short = readJoinBody({ ...joining, passphrase: 'secret' })
    expect(JSON.stringify(short), 'is not said back').not.to.contain('secret')
  })

  it('is either a passphrase or a passkey, and what is off is said by its place', () => {
    const passkey = { ceremony, response: { id: 'x', rawId: 'x' } }
    const { passphrase: _passphrase, ...without } = joining
    expect(readJoinBody({ ...without, passkey, passkeyName: 'Phone' }).ok).to.equal(true)
    expect(pathsOf(readJoinBody({ ...joining, passkey, passkeyName: 'Phone' }))).to.deep.equal(['passphrase'])
    expect(
      pathsOf(readJoinBody({ ...without, passkey: { ...passkey, ceremony: 'x' }, passkeyName: 'Phone' })),
    ).to.deep.equal(['passkey.ceremony'])
    expect(pathsOf(readJoinBody(without))).to.deep.equal(['passphrase'])
    for (const none of [null, 7, 'x', []]) expect(readJoinBody(none).ok).to.equal(false)
    expect(readSignInBody({ passkey, device: 'Phone' }).ok).to.equal(true)
    expect(readSignInBody({ signInName: 'ida', passphrase: 'short', device: 'Phone' }).ok).to.equal(true)
    expect(readProofBody({ passphrase: 'x' }).ok).to.equal(true)
    expect(readProofBody({}).ok).to.equal(false)
  })

  it('is a code as it is shown, or as it is typed', () => {
    const code = 'ABCDEFGH23456789'
    expect(formatRecoveryCode(code)).to.equal('ABCD-EFGH-2345-6789')
    expect(parseRecoveryCode(' abcd efgh–2345-6789 ')).to.equal(code)
    expect(parseRecoveryCode(formatRecoveryCode(code))).to.equal(code)
    // 0, 1, I, L and O are in none
    for (const none of ['ABCDEFGH2345678', 'ABCDEFGH23456780', 'ABCDEFGHI3456789', ''])
      expect(parseRecoveryCode(none), none).to.equal(undefined)
    const body = { signInName: 'ida', code: 'short', passphrase: joining.passphrase, device: 'Phone' }
    const read = readRecoverBody(body)
    expect(read.ok ? [] : read.issues).to.deep.equal([
      { path: 'code', message: 'A code has 16 letters and digits.' },
    ])
    expect(readRecoverBody({ ...body, code }).ok).to.equal(true)
  })

  it('is a role that there is', () => {
    expect(['owner', 'maker', 'guest', 'queen', ''].map(role => readRoleBody({ role }).ok)).to.deep.equal([
      true,
      true,
      true,
      false,
      false,
    ])
  })

  it('is changed by whoever makes, and looked at by guests', () => {
    expect(memberRoles.map(mayRoleChange)).to.deep.equal([true, true, false])
  })

  it('is an invitation whose secret no server is sent', () => {
    const link = new URL(invitationLink('https://covers.example', token))
    expect([link.pathname, link.search, link.hash]).to.deep.equal(['/join', '', `#${token}`])
  })
})
