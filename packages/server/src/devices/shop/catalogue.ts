import type { ShopOffer } from '@snowdrift/core'

/** What the simulated shop sells. Prices in its own money, for a metre or for one. */
export const catalogue: readonly ShopOffer[] = [
  cloth('pass-cotton', 'outer', 'Pass cotton', 1100, 14, [quarter(5)]),
  cloth('moraine-canvas', 'outer', 'Moraine canvas', 1400, 19, []),
  cloth('ibex-linen', 'outer', 'Ibex linen', 1500, 26, [quarter(9)]),
  cloth('mist-lining', 'lining', 'Mist cotton', 1100, 9, [quarter(3.5)]),
  cloth('down-fleece', 'padding', 'Down fleece, fusible', 900, 12, []),
  cloth('cloud-batting', 'padding', 'Cloud batting', 1500, 15, []),
  cloth('backbone', 'interfacing', 'Backbone, woven fusible', 900, 8, []),
  cloth('under-lawn', 'underlining', 'Under-lawn', 1400, 11, []),
  cloth('window', 'clear', 'Window vinyl', 1350, 13, []),
  sheet('slab', 'board', 'Slab board', 500, 700, 3.2),
  sheet('leaf', 'card', 'Leaf card', 500, 700, 1.4),
  cloth('edge-bias', 'binding', 'Edge cotton', 1100, 10, [quarter(4)]),
]

function cloth(
  id: string,
  role: ShopOffer['role'],
  name: string,
  widthMm: number,
  pricePerMetre: number,
  cuts: ShopOffer['cuts'],
): ShopOffer {
  return { id, role, name, widthMm, pricePerMetre, cuts, stockMm: 12_000 }
}

function quarter(price: number): ShopOffer['cuts'][number] {
  return { name: 'fat quarter', widthMm: 457.2, lengthMm: 533.4, price }
}

function sheet(
  id: string,
  role: ShopOffer['role'],
  name: string,
  widthMm: number,
  lengthMm: number,
  price: number,
): ShopOffer {
  return { id, role, name, widthMm, cuts: [{ name: 'sheet', widthMm, lengthMm, price }], stockMm: 40_000 }
}
