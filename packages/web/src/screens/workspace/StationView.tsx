import { FitStation } from './fit/FitStation'
import { LayersStation } from './layers/LayersStation'
import { LayoutStation } from './layout/LayoutStation'
import { MakeUpStation } from './make-up/MakeUpStation'
import { MeasureStation } from './measure/MeasureStation'
import { PiecesStation } from './pieces/PiecesStation'
import { MakeStation } from '../bench/MakeStation'
import { LogStation } from '../log/LogStation'
import { useCover } from './cover-context'
import type { Station } from './stations'

export function StationView({ station }: { readonly station: Station }) {
  const { id } = useCover()
  switch (station) {
    case 'measure':
      return <MeasureStation />
    case 'make-up':
      return <MakeUpStation />
    case 'layers':
      return <LayersStation />
    case 'fit':
      return <FitStation />
    case 'pieces':
      return <PiecesStation />
    case 'layout':
      return <LayoutStation />
    case 'make':
      return <MakeStation id={id} />
    case 'log':
      return <LogStation id={id} />
  }
}
