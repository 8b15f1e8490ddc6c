import { useEffect, useState } from 'react'
import { readDevice, writeDevice } from '../../app/device-storage'
import { CheckField } from '../../parts/CheckField'

const key = 'snowdrift.print-cloth'

/** Whether the paper shows the cloth too: a choice of its own, for ink is dear. */
export function PrintCloth() {
  const [isPrinted, setPrinted] = useState(() => readDevice(key) === 'yes')
  useEffect(() => {
    const { dataset } = document.documentElement
    if (isPrinted) dataset['printCloth'] = ''
    return () => {
      delete dataset['printCloth']
    }
  }, [isPrinted])
  return (
    <CheckField
      label="Print the cloth"
      checked={isPrinted}
      onChange={wanted => {
        writeDevice(key, wanted ? 'yes' : 'no')
        setPrinted(wanted)
      }}
    />
  )
}
