import type { CoverFile, RuleBody, RuleRow } from '@snowdrift/core'
import { useState } from 'react'
import { useCreateRuleMutation, useDeleteRuleMutation } from '../../../api/rules-api'
import { describeError } from '../../../api/describe-error'
import { Button } from '../../../parts/Button'
import { controlLook, Field } from '../../../parts/Field'
import { useCover } from '../cover-context'

/** Keeps the rule in use under a name, so that the next cover can follow it. */
export function KeepRule({ kept }: { readonly kept: readonly RuleRow[] }) {
  const { file } = useCover()
  const [name, setName] = useState('')
  const [create, { error, isSuccess }] = useCreateRuleMutation()
  const taken = kept.find(rule => rule.name.toLowerCase() === name.trim().toLowerCase())
  const body = ruleOf(file, name.trim())
  if (!body) return null
  const keep = () => void create(body).then(answer => !answer.error && setName(''))
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      data-keep-rule
      onSubmit={event => {
        event.preventDefault()
        keep()
      }}
    >
      <Field
        label="Keep this rule as"
        help={taken && `There is one of that name: “${taken.name} 2” is free.`}
      >
        {({ id, describedBy }) => (
          <input
            id={id}
            aria-describedby={describedBy}
            className={controlLook}
            maxLength={120}
            value={name}
            onChange={event => setName(event.target.value)}
          />
        )}
      </Field>
      <Button type="submit" disabled={name.trim() === '' || taken !== undefined}>
        Keep it
      </Button>
      {error && <p className="text-sm text-bad">{describeError(error)}</p>}
      {isSuccess && name === '' && <p className="text-sm text-soft">Kept; it stands among the recipes.</p>}
    </form>
  )
}

/** The rule that the cover follows, with its seam and its options, as the workshop keeps it. */
function ruleOf(
  { sizing, family, unit = 'in', seam, options }: CoverFile,
  name: string,
): RuleBody | undefined {
  if (sizing?.mode !== 'rule') return undefined
  const { measure, addWidth, addHeight } = sizing
  return {
    name,
    family,
    unit,
    rule: {
      addWidth,
      addHeight,
      ...(measure && { measure }),
      ...(seam !== undefined && { seam }),
      ...(options && Object.keys(options).length > 0 && { options }),
    },
  }
}

/** Forgets a rule that is kept; a cover that follows it carries it on. */
export function ForgetRule({ rule }: { readonly rule: RuleRow }) {
  const [remove] = useDeleteRuleMutation()
  return (
    <div>
      <Button onClick={() => void remove({ id: rule.id, version: rule.version })}>
        Forget the rule “{rule.name}”
      </Button>
    </div>
  )
}
