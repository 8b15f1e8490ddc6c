import { shortestPassphrase, type Strength } from '@snowdrift/core'
import { useEffect, useState } from 'react'
import { useWeighPassphraseMutation } from '../api/people-api'

/** After so long without a key the passphrase is weighed. */
const pauseMs = 350

/**
 * How well a passphrase withstands guessing, as the server sees it, which has the lists of what is common; nothing while it is
 * typed, too short to be taken, or cannot be weighed just now. `own` is what others know of whoever chooses it.
 */
export function useStrength(passphrase: string, own: readonly string[]): Strength | undefined {
  const [weigh] = useWeighPassphraseMutation()
  const [weighed, setWeighed] = useState<{ readonly of: string; readonly strength: Strength }>()
  // joined, so that a list written anew with each drawing is the same list
  const known = JSON.stringify(own.filter(Boolean))
  const of = `${known} ${passphrase}`
  useEffect(() => {
    if (passphrase.length < shortestPassphrase) return
    let isOver = false
    const timer = setTimeout(() => {
      void weigh({ passphrase, own: JSON.parse(known) as readonly string[] }).then(({ data }) => {
        if (data && !isOver) setWeighed({ of, strength: data })
      })
    }, pauseMs)
    return () => {
      isOver = true
      clearTimeout(timer)
    }
  }, [passphrase, known, of, weigh])
  return weighed?.of === of ? weighed.strength : undefined
}
