import { useState } from 'react'

/** What is being typed, until the value that it began from changes elsewhere. */
export function useTyped(given: string): readonly [string, (text: string) => void] {
  const [typed, setTyped] = useState({ text: given, given })
  return [typed.given === given ? typed.text : given, text => setTyped({ text, given })]
}
