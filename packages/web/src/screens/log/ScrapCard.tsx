import { NoteField } from '../../parts/NoteField'
import { TextField } from '../../parts/TextField'
import type { LogPart } from './log-part'

const fields = {
  stitch: 'Stitch',
  length: 'Length',
  width: 'Width',
  tension: 'Tension',
  needle: 'Needle',
  thread: 'Thread',
  layers: 'Layers',
} as const

/** How the machine was set on the test scrap, how it was threaded, and where the template lies. */
export function ScrapCard({ log, change }: LogPart) {
  return (
    <section aria-label="Test scrap" className="grid gap-4">
      <h4 className="font-semibold">Test scrap</h4>
      <div className="grid grid-cols-2 gap-x-4 gap-y-3 sm:grid-cols-4">
        {(Object.keys(fields) as (keyof typeof fields)[]).map(key => (
          <TextField
            key={key}
            label={fields[key]}
            optional
            value={log.stitch[key]}
            onChange={said =>
              change(`stitch ${key}`, before => ({ ...before, stitch: { ...before.stitch, [key]: said } }))
            }
          />
        ))}
      </div>
      <NoteField
        label="Threading"
        value={log.threading}
        onChange={threading => change('threading', before => ({ ...before, threading }))}
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          label="Where the template is"
          optional
          value={log.template.place}
          onChange={place =>
            change('template', before => ({ ...before, template: { ...before.template, place } }))
          }
        />
        <TextField
          label="Its version"
          optional
          value={log.template.version}
          onChange={version =>
            change('template version', before => ({ ...before, template: { ...before.template, version } }))
          }
        />
      </div>
    </section>
  )
}
