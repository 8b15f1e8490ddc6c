import { auditKinds, type AuditEvent } from '@snowdrift/core'
import { expect } from 'chai'
import { auditWords } from './people-words.js'

describe('what happened among people', () => {
  const event = (changes: Partial<AuditEvent>): AuditEvent => ({
    id: '1',
    at: '2026-11-30T10:00:00.000Z',
    what: 'signed-in',
    who: 'Olga',
    whom: null,
    detail: '',
    ...changes,
  })

  it('is said in a sentence, with whom it concerned', () => {
    expect(auditWords(event({}))).to.equal('Olga signed in.')
    expect(auditWords(event({ what: 'role-changed', whom: 'Mads', detail: 'maker' }))).to.equal(
      'Olga made Mads a maker.',
    )
    expect(auditWords(event({ what: 'role-changed', whom: 'Mads', detail: 'owner' }))).to.equal(
      'Olga made Mads an owner.',
    )
    expect(auditWords(event({ what: 'role-changed', whom: 'Olga', detail: 'maker' }))).to.equal(
      'Olga made themselves a maker.',
    )
    expect(auditWords(event({ what: 'invited', detail: 'guest' }))).to.equal(
      'Olga made an invitation for a guest.',
    )
    expect(auditWords(event({ what: 'joined', detail: 'guest' }))).to.equal('Olga joined as a guest.')
    expect(auditWords(event({ what: 'removed', whom: 'Mads' }))).to.equal('Olga sent Mads away.')
    expect(auditWords(event({ what: 'workshop-renamed', detail: 'The hut' }))).to.equal(
      'Olga named the workshop “The hut”.',
    )
  })

  it('names nobody who is gone', () => {
    expect(auditWords(event({ what: 'account-deleted', who: null }))).to.equal(
      'Somebody who is gone deleted their account.',
    )
    expect(auditWords(event({ what: 'removed', whom: null }))).to.equal('Olga sent somebody away.')
  })

  it('keeps names as they are, whatever they are', () => {
    expect(auditWords(event({ what: 'removed', whom: '$& * …' }))).to.equal('Olga sent $& * … away.')
  })

  it('has words for everything that is noted', () => {
    for (const what of auditKinds)
      expect(auditWords(event({ what, whom: 'Mads', detail: 'guest' })), what).to.match(
        /^Olga [a-z].*[^.*…]\.$/,
      )
  })
})
