import { mostOutlineBytes, Unreadable, type Outline } from './outline'

/** Reads what a machine was sent, by what it says, not by what it is called; throws an `Unreadable`. */
export async function readOutline(text: string): Promise<Outline> {
  if (text.length > mostOutlineBytes) throw new Unreadable('Expected at most 5 MB; this is larger.')
  const begin = text.trimStart().slice(0, 400)
  if (/^(<\?xml|<svg)/.test(begin)) return (await import('./read-svg')).readSvg(text)
  if (/^0\s+SECTION/.test(begin)) return (await import('./read-dxf')).readDxf(text)
  if (/^(IN|SP|PU|PA)/.test(begin)) return (await import('./read-hpgl')).readHpgl(text)
  throw new Unreadable('Expected SVG, DXF or HPGL; this is none of them.')
}
