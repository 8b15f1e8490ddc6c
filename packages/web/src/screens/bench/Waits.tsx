import { Bell, CalendarPlus, Hourglass } from 'lucide-react'
import { useEffect, useState } from 'react'
import { keepWaits } from '../../app/kept-waits'
import { Button } from '../../parts/Button'
import { download } from '../../parts/download'
import { Fractions } from '../../parts/Fractions'
import { ring } from './ring'
import { leftWords, sinceWords } from './wait-words'
import type { OnTheBench } from './use-making'

/** Waits that run, and ring at their end: their ends are kept, so reload, sleep and a closed window do not stop them. */
export function Waits({ bench }: { readonly bench: OnTheBench }) {
  const { progress, making, change } = bench
  const now = useNow(Object.values(progress.waits).some(({ heard }) => !heard))
  const running = Object.entries(progress.waits).flatMap(([id, wait]) => {
    const step = making.steps.find(known => known.id === id)
    return step && !wait.heard ? [{ id, step, leftMs: Date.parse(wait.endsAt) - now }] : []
  })
  const cover = bench.id
  useEffect(() => {
    // said once more to this device, so that they ring on every screen of it
    const waits = Object.entries(progress.waits).flatMap(([id, { endsAt, heard }]) => {
      const step = making.steps.find(known => known.id === id)
      return step && !heard ? [{ step: id, name: step.name, endsAt }] : []
    })
    keepWaits(cover, waits)
  }, [cover, progress.waits, making.steps])
  const rings = running.some(({ leftMs }) => leftMs <= 0)
  useEffect(() => (rings ? ring() : undefined), [rings])
  if (running.length === 0) return null
  const hear = (id: string) =>
    change(current => {
      const wait = current.waits[id]
      if (!wait) return current
      const heard = { ...wait, at: new Date().toISOString(), heard: true } as const
      return { ...current, waits: { ...current.waits, [id]: heard } }
    })
  return (
    <ul className="grid gap-2 px-4 pt-3 sm:px-6" aria-label="Waits">
      {running.map(({ id, step, leftMs }) => (
        <li
          key={id}
          data-wait={id}
          className={`flex flex-wrap items-center gap-x-3 gap-y-1 rounded-md border px-3 py-2 ${leftMs <= 0 ? 'border-thread bg-thread-soft' : 'border-rule'}`}
        >
          {leftMs <= 0 ? (
            <Bell className="size-5 text-thread" aria-hidden />
          ) : (
            <Hourglass className="size-5 text-soft" aria-hidden />
          )}
          <span className="min-w-48 flex-1" role={leftMs <= 0 ? 'alert' : undefined}>
            <Fractions text={step.name} />:{' '}
            <strong className="tabular-nums">{leftMs <= 0 ? sinceWords(-leftMs) : leftWords(leftMs)}</strong>
          </span>
          {leftMs > 0 && (
            <Button
              small
              look="quiet"
              onClick={() => void putIntoCalendar(bench, step.name, id)}
              title="It rings there when every window of this is closed"
            >
              <CalendarPlus className="size-4" aria-hidden /> Alarm in the calendar
            </Button>
          )}
          <Button small onClick={() => hear(id)}>
            {leftMs <= 0 ? 'Heard' : 'Need not wait'}
          </Button>
        </li>
      ))}
    </ul>
  )
}

/** A wait goes on when the last window is closed; a calendar is what rings then. */
async function putIntoCalendar({ file, progress }: OnTheBench, name: string, step: string): Promise<void> {
  const wait = progress.waits[step]
  if (!wait) return
  const { writeWaitIcs } = await import('./wait-ics')
  const cover = file.name || 'Cover without a name'
  download('ready.ics', writeWaitIcs({ cover, step, name, endsAt: wait.endsAt }, new Date()), 'text/calendar')
}

/** The time, each second while something runs. */
function useNow(isRunning: boolean): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    if (!isRunning) return
    const tick = () => setNow(Date.now())
    tick()
    const timer = setInterval(tick, 1000)
    document.addEventListener('visibilitychange', tick)
    return () => {
      clearInterval(timer)
      document.removeEventListener('visibilitychange', tick)
    }
  }, [isRunning])
  return now
}
