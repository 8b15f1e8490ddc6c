import type { ShopOffer } from '@snowdrift/core'

/** What the simulated shop sells. Prices in its own money, for a metre or for one. */
export const catalogue: readonly ShopOffer[] = [
  cloth('pass-cotton', 'outer', 'Pass cotton', 0.28, 3, 1100, 14, [quarter(5)]),
  cloth('moraine-canvas', 'outer', 'Moraine canvas', 0.75, 0, 1400, 19, []),
  cloth('ibex-linen', 'outer', 'Ibex linen', 0.45, 5, 1500, 26, [quarter(9)]),
  cloth('mist-lining', 'lining', 'Mist cotton', 0.28, 3, 1100, 9, [quarter(3.5)]),
  cloth('down-fleece', 'padding', 'Down fleece, fusible', 3, 0, 900, 12, []),
  cloth('cloud-batting', 'padding', 'Cloud batting', 2.3, 4, 1500, 15, []),
  cloth('backbone', 'interfacing', 'Backbone, woven fusible', 0.25, 0, 900, 8, []),
  cloth('under-lawn', 'underlining', 'Under-lawn', 0.18, 0, 1400, 11, []),
  cloth('window', 'clear', 'Window vinyl', 0.2, 0, 1350, 13, []),
  sheet('thin-slab', 'board', 'Thin slab board', 1, 500, 700, 1.9),
  sheet('slab', 'board', 'Slab board', 2.4, 500, 700, 3.2),
  sheet('leaf', 'card', 'Leaf card', 0.3, 500, 700, 1.4),
  cloth('edge-bias', 'binding', 'Edge cotton', 0.28, 3, 1100, 10, [quarter(4)]),
]

function cloth(
  id: string,
  role: ShopOffer['role'],
  name: string,
  thicknessMm: number,
  shrinkage: number,
  widthMm: number,
  pricePerMetre: number,
  cuts: ShopOffer['cuts'],
): ShopOffer {
  return { id, role, name, thicknessMm, shrinkage, widthMm, pricePerMetre, cuts, stockMm: 12_000 }
}

function quarter(price: number): ShopOffer['cuts'][number] {
  return { name: 'fat quarter', widthMm: 457.2, lengthMm: 533.4, price }
}

function sheet(
  id: string,
  role: ShopOffer['role'],
  name: string,
  thicknessMm: number,
  widthMm: number,
  lengthMm: number,
  price: number,
): ShopOffer {
  const cuts = [{ name: 'sheet', widthMm, lengthMm, price }]
  return { id, role, name, thicknessMm, shrinkage: 0, widthMm, cuts, stockMm: 40_000 }
}
