import { formatRecoveryCode } from '@snowdrift/core'
import { Copy, Download } from 'lucide-react'
import { useState } from 'react'
import { Button } from '../../parts/Button'
import { copyText } from '../../parts/copy-text'
import { download } from '../../parts/download'

/** The codes for when all else is lost, shown once. */
export function RecoveryCodes({ codes }: { readonly codes: readonly string[] }) {
  const [isCopied, setCopied] = useState(false)
  const shown = codes.map(formatRecoveryCode)
  const text = `Recovery codes for Snowdrift at ${location.origin}\n\n${shown.join('\n')}\n`
  return (
    <div className="grid gap-4">
      <p>
        Should you lose all else, each of these lets you in, once. They are shown only now: print or write
        them, or keep them with your passphrases.
      </p>
      <ol
        aria-label="Recovery codes"
        className="grid gap-x-6 gap-y-1 border-y border-rule py-3 tabular-nums sm:grid-cols-2"
      >
        {shown.map(code => (
          <li key={code} className="tracking-wide" data-recovery-code={code}>
            {code}
          </li>
        ))}
      </ol>
      <div className="flex flex-wrap gap-3">
        <Button onClick={() => void copyText(text).then(setCopied)}>
          <Copy className="size-4" aria-hidden /> {isCopied ? 'Copied' : 'Copy'}
        </Button>
        <Button onClick={() => download('snowdrift-recovery-codes.txt', text, 'text/plain')}>
          <Download className="size-4" aria-hidden /> As a file
        </Button>
      </div>
    </div>
  )
}
