import type { CoverBody, CoverFile, MaterialBody, RuleBody, ThingBody } from '@snowdrift/core'

export const thingBody: ThingBody = {
  name: 'Snow log',
  unit: 'mm',
  object: { kind: 'notebook', readings: { height: ['210'], width: ['148'], thickness: ['12'] } },
}

export function coverBody(changes: Partial<CoverFile> = {}, thingId: string | null = null): CoverBody {
  const file: CoverFile = {
    format: 'snowdrift/cover',
    version: 2,
    name: 'Snow log cover',
    unit: 'mm',
    object: thingBody.object,
    family: 'slip-cover',
    layers: [{ role: 'outer', thickness: '0.3' }],
    ...changes,
  }
  return { thingId, file }
}

export const materialBody: MaterialBody = {
  unit: 'mm',
  swatch: '#33665a',
  material: { role: 'outer', name: 'Moss twill', thickness: '0.4' },
  stock: {},
}

export const ruleBody: RuleBody = {
  name: 'Hut rule',
  family: 'slip-cover',
  unit: 'in',
  rule: { measure: 'wrap', addWidth: '1 1/2', addHeight: '1', seam: '1/2' },
}
