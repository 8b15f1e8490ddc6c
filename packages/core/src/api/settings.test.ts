import { expect } from 'chai'
import { mm, toMm } from '../length/length.js'
import { initialSettings, readSettingsBody, settingFields, settingsInUnit, settingsOf } from './settings.js'

describe('the settings of a workshop', () => {
  it('begin with something that can be saved', () => {
    const initial = initialSettings()
    expect(initial).to.include({ unit: 'in', grid: null, tapeDivision: null, seam: null, currency: '' })
    expect(readSettingsBody(initial)).to.deep.equal({ ok: true, value: initial })
  })

  it('have words for each, and nothing in the form that is not in the row', () => {
    for (const [key, { label, help }] of Object.entries(settingFields)) {
      expect(label, key).to.match(/^[A-Z]\w+/)
      expect(help, key).to.match(/\.$/)
    }
    expect(Object.keys(settingsOf({ ...initialSettings(), version: 4 }))).to.deep.equal(
      Object.keys(settingFields),
    )
  })

  it('go back to what is usual in another unit, but for what no unit changes', () => {
    const inches = {
      ...initialSettings(),
      grid: '1/4 in',
      tapeDivision: '1/32 in',
      seam: '3/8 in',
      currency: '€',
    }
    expect(settingsInUnit(inches, 'mm')).to.deep.equal({
      ...initialSettings(),
      unit: 'mm',
      grid: null,
      tapeDivision: null,
      seam: null,
      currency: '€',
    })
  })

  it('say what stands there while nothing is said: a customary seam of ¼ in, 6 mm', () => {
    expect([
      toMm(settingFields.seam.control === 'length' ? (settingFields.seam.usual('mm') ?? mm(0)) : mm(0)),
    ]).to.deep.equal([6])
  })
})
