import { Link } from '../../app/router'
import { useInitials } from '../../app/settings'
import { day } from '../../ui/format'
import { Corrections } from '../Corrections'
import { Head, Row, Section, Why } from '../Ledger'
import type { RoomProps } from '../room'
import { StepList } from '../StepList'
import { Contacts } from './Contacts'
import { DriftSection } from './DriftSection'
import { JobName } from './JobName'
import { SurveyForm } from './SurveyForm'
import { Used } from './Used'

/** What was used, what is kept, the record, the way back. */
export function CareLedger({ job, here, s }: RoomProps) {
  const [by] = useInitials()
  return (
    <>
      <Head sub={`Opened ${day(job.openedAt)} by ${job.openedBy}${job.client ? ` for ${job.client}` : ''}.`}>
        {s.allSigned ? 'Traveller signed' : 'To hand over'}
      </Head>
      <JobName job={job} s={s} />
      <p className="mt-2 flex flex-wrap gap-2">
        {(
          [
            ['client', 'Build record for the client', 'bg-copper text-on-copper'],
            ['shop', 'Record for the shop', 'border border-rule bg-raised'],
          ] as const
        ).map(([whom, text, look]) => (
          <a
            key={whom}
            href={`/api/jobs/${job.id}/record.html?for=${whom}`}
            target="_blank"
            rel="noreferrer"
            className={`inline-block rounded-[3px] px-3 py-2 font-bold ${look}`}
          >
            {text}
          </a>
        ))}
      </p>
      <Why>
        Sealed by this shop: dropped on the library it tells whether a word was changed. Print it from the page.
      </Why>
      <DriftSection job={job} here={here} />
      <Contacts job={job} by={by} />
      <Used job={job} by={by} />
      <Section title="Kept for the day it goes back">
        {(here.teardown?.tray ?? []).map((t) => (
          <Row
            key={t.cell}
            name={`cell ${t.cell}, ${t.thread ?? t.driver}${t.lengthMm ? ` × ${t.lengthMm}` : ''}`}
            value={t.count}
          />
        ))}
        <Link to={`/job/${job.id}/restore`} className="mt-1 inline-block text-copper underline underline-offset-3">
          Put it back to stock, step by step
        </Link>
        <Why>The stock cooler, its screws and its as-found pads put the card back for a warranty claim.</Why>
      </Section>
      <Corrections job={job} only={(kind) => kind === 'title' || kind === 'client'} />
      {job.notes.length > 0 && (
        <Section title="Notes">
          {job.notes.map((n) => (
            <Why key={n.id}>
              {n.text}{' '}
              <span className="text-soft">
                {n.byInitials} {day(n.at)}
              </span>
            </Why>
          ))}
        </Section>
      )}
      {job.photos.length > 0 && (
        <Section title="Photos">
          <div className="grid grid-cols-3 gap-1.5">
            {job.photos.map((x) => (
              <a key={x.id} href={`/api/photos/${x.id}`}>
                <img
                  src={`/api/photos/${x.id}`}
                  alt={`by ${x.by}, ${day(x.at)}`}
                  className="h-20 w-full object-cover"
                />
              </a>
            ))}
          </div>
        </Section>
      )}
      {job.route.every((r) => r.complete) && <SurveyForm job={job} here={here} />}
      <Section title="Steps">
        <StepList s={s} />
      </Section>
    </>
  )
}
