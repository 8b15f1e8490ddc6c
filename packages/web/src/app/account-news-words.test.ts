import { accountEventKinds } from '@snowdrift/core'
import { expect } from 'chai'
import { sayAccountEvent } from './account-news-words'

describe('what became of an account, in words', () => {
  it('says what was done, where and when', () => {
    const event = { id: '1', at: '2026-11-03T14:05:00.000Z', device: 'Phone', what: 'codes-made' as const }
    const said = sayAccountEvent(event)
    expect(said).to.match(
      /^New recovery codes were made for your account on Phone, \d+ November 2026, \d\d:05\.$/,
    )
    expect(sayAccountEvent({ ...event, device: '' })).to.match(
      /^New recovery codes were made for your account, \d/,
    )
    for (const what of accountEventKinds)
      expect(sayAccountEvent({ ...event, what })).to.match(/^[A-Z].* on Phone, /)
  })
})
