import type { JobView, Schemas } from '../api/client'
import { Section } from './Ledger'

const ends: Record<Schemas['Fate'], string> = {
  back: 'goes back',
  block: 'goes on the block',
  kept: 'to be stored',
  used: 'used up',
  discarded: 'thrown away',
}

/** What was opened and is open now, and where it ends. */
export function LooseEnds({ job }: { job: JobView }) {
  return (
    <Section title={`Loose ends, ${job.openEnds.length} open`}>
      {job.openEnds.length === 0 && <p className="text-[14.5px] text-soft">Nothing that was opened is still open.</p>}
      <ul className="text-[14.5px] leading-snug">
        {job.openEnds.map((e) => (
          <li key={e.title} className="flex gap-2 border-b border-rule/60 py-[3px]">
            <span className="min-w-0 flex-1">{e.title}</span>
            <span className={`w-32 text-right ${e.fate ? 'text-soft' : 'font-semibold text-plum'}`}>
              {e.fate ? ends[e.fate] : 'no place yet'}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  )
}
