import { expect } from 'chai'
import { listOptionFields } from '../families/option-fields.js'
import { families } from '../families/registry.js'
import { sayAmounts } from '../length/amounts.js'
import { units } from '../length/unit.js'
import { extras } from './registry.js'

describe('amounts in the words of families and extras', () => {
  it('stand in braces, so that each workshop reads its own', () => {
    const spoken = [
      ...families.flatMap(family => [
        ...units.flatMap(unit => listOptionFields(family.options(unit)).map(([, { help }]) => help)),
        ...family.recipes.flatMap(({ reason, price }) => [reason, price]),
      ]),
      ...extras.flatMap(extra => [
        extra.words.summary,
        ...units.flatMap(unit => listOptionFields(extra.options(unit)).map(([, { help }]) => help)),
      ]),
    ]
    for (const words of spoken) {
      const outside = words.replace(/\{[^}]*\}/g, '')
      expect(outside, words).not.to.match(/\d in\b|[¼½¾⅛⅜⅝⅞] in\b|\d cm\b/)
      for (const unit of units) expect(sayAmounts(words, unit)).not.to.match(/[{}]/)
    }
  })
})
