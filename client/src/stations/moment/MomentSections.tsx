import type { JobView } from '../../api/client'
import { capital } from '../../ui/format'
import { useNow } from '../../ui/useNow'
import { Section } from '../Ledger'
import { TurnPicture } from './TurnPicture'
import type { Moment } from './useMoment'

/** What the step at hand turns over and closes, and what has been waiting open. */
export function MomentSections({ job, moment, look }: { job: JobView; moment?: Moment; look: (id: string) => void }) {
  if (!moment || !(moment.turn || moment.closes || moment.open.length > 0)) return null
  return (
    <div className="-mt-3 mb-4">
      {moment.turn && (
        <Section title="Turning it over">
          <TurnPicture turn={moment.turn} />
          <TurnList turn={moment.turn} />
        </Section>
      )}
      {moment.closes && (
        <Section title={moment.closes.title}>
          <ChanceList job={job} items={moment.closes.items} look={look} />
        </Section>
      )}
      {moment.open.length > 0 && (
        <Section title="Waiting open">
          <Waiting open={moment.open} />
        </Section>
      )}
    </div>
  )
}

export const TurnList = ({ turn, big }: { turn: NonNullable<Moment['turn']>; big?: boolean }) => (
  <ul className={big ? 'text-[22px] leading-tight' : 'text-[14.5px] leading-snug'}>
    {turn.things.map((t) => (
      <li
        key={t.name + t.face}
        className={t.heldBy === 'hand' || t.heldBy === 'nothing' ? 'font-semibold text-plum' : ''}
      >
        {capital(t.name)}: {t.text}
      </li>
    ))}
    <li className="text-soft">{capital(turn.hand)}</li>
    <li>{capital(turn.rest)}</li>
  </ul>
)

type Item = NonNullable<Moment['closes']>['items'][number]

export function ChanceList({
  job,
  items,
  look,
  big,
}: {
  job: JobView
  items: Item[]
  look?: (id: string) => void
  big?: boolean
}) {
  return (
    <ul className={big ? 'grid grid-cols-2 gap-x-5 text-[21px] leading-tight' : 'text-[14.5px] leading-snug'}>
      {items.map((i) => {
        const by = i.by && job.steps.find((s) => s.stepId === i.by)
        return (
          <li key={i.text} className="grid grid-cols-[auto_1fr] items-baseline gap-2 border-b border-rule/60 py-[3px]">
            <ChanceMark state={i.state} size={big ? 20 : 15} />
            <span className={i.state === 'open' ? 'font-semibold text-plum' : ''}>
              {i.text}
              {i.state === 'here' && !big && <span className="font-normal text-soft">, the rest in this step</span>}
              {i.state === 'open' && by && !big && (
                <button
                  type="button"
                  className="block text-left font-normal text-soft underline underline-offset-2"
                  onClick={() => look?.(by.stepId)}
                >
                  {by.title}
                </button>
              )}
            </span>
          </li>
        )
      })}
    </ul>
  )
}

const marks = { done: 'done', here: 'in this step', open: 'open' }

/** A tick, a dot or an empty ring: never colour alone. */
function ChanceMark({ state, size }: { state: Item['state']; size: number }) {
  const stroke = state === 'open' ? 'var(--plum)' : 'var(--cool)'
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      fill="none"
      stroke={stroke}
      strokeWidth={2.4}
      role="img"
      aria-label={marks[state]}
    >
      {state === 'done' ? (
        <path d="M2 9L6 13L14 3" />
      ) : state === 'here' ? (
        <circle cx={8} cy={8} r={3.4} fill={stroke} />
      ) : (
        <circle cx={8} cy={8} r={6} />
      )}
    </svg>
  )
}

/** How long each has been open, minute by minute. */
export function Waiting({ open, big }: { open: Moment['open']; big?: boolean }) {
  const now = useNow()
  return (
    <ul aria-label="Waiting open" className={big ? 'text-[20px] leading-tight' : 'text-[14.5px] leading-snug'}>
      {open.map((e) => (
        <li key={e.text} className={`flex items-baseline gap-2 ${big ? '' : 'border-b border-rule/60 py-[3px]'}`}>
          <span className="min-w-0 flex-1">{capital(e.text)}</span>
          <b className={`num ${big ? 'text-[26px]' : 'text-[17px]'}`}>{since(e.since, now)}</b>
        </li>
      ))}
    </ul>
  )
}

function since(iso: string, now: number) {
  const min = Math.max(0, Math.floor((now - Date.parse(iso)) / 60_000))
  return min < 120 ? `${min} min` : min < 2880 ? `${Math.floor(min / 60)} h` : `${Math.floor(min / 1440)} days`
}
