import { shortestPassphrase } from '@snowdrift/core'

export const newPassphraseHelp = `${shortestPassphrase} letters or more. Four or five words that have nothing to do with each other make a good one.`
