import { useState } from 'react'
import type { Face, JobView } from '../../api/client'
import { useJob } from '../../api/queries'
import { InHeader } from '../../app/HeaderSlot'
import { useKeys } from '../../app/keys'
import { Link, useNavigate, useParams } from '../../app/router'
import { Mat } from '../../mat/Mat'
import { ErrorNotice, Loading } from '../../ui/Notice'
import { hereOf } from '../here'
import { Head, Section, Why } from '../Ledger'
import { StepLine } from '../StepLine'
import { StepList } from '../StepList'
import { WayBackOverlay } from '../teardown/TeardownOverlay'
import { TrayMap } from '../teardown/TrayMap'
import { useSteps } from '../useSteps'

/** Back to stock, at any time: the record read backwards. */
export function RestorePage() {
  const job = useJob(Number(useParams().id))
  if (job.error && !job.data) return <ErrorNotice error={job.error} again={() => job.refetch()} />
  if (!job.data) return <Loading what="the way back" />
  return <Restore job={job.data} />
}

function Restore({ job }: { job: JobView }) {
  const s = useSteps(job, 'restore')
  const [turned, setTurned] = useState<Face | null>(null)
  const [note, setNote] = useState(false)
  const go = useNavigate()
  const here = hereOf(job, { board: s.step?.board ?? undefined })
  const face = turned ?? s.step?.face ?? 'front'
  const flip = () => setTurned(face === 'front' ? 'back' : 'front')
  const bench = () => go(`/job/${job.id}/restore/bench`)
  useKeys({
    Space: () => {
      s.sign()
      setTurned(null)
    },
    Backspace: s.back,
    f: flip,
    ArrowLeft: () => s.look(-1),
    ArrowRight: () => s.look(1),
    g: bench,
    '+': () => s.setCount(s.count + 1),
    '-': () => s.setCount(s.count - 1),
    n: () => setNote(true),
  })
  return (
    <div className="traveller traveller-plain">
      <InHeader>
        <b className="min-w-0 truncate text-[17px]">{here.board.model}, back to stock</b>
        <Link className="shrink-0 text-copper underline underline-offset-3" to={`/job/${job.id}/care`}>
          job {job.id}
        </Link>
      </InHeader>
      <main className="traveller-mat flex min-h-0 min-w-0" aria-label="Mat">
        <Mat
          board={here.board}
          face={face}
          onFlip={flip}
          label={`${here.board.model}, back to stock`}
          tint={Object.fromEntries((s.step?.targets ?? []).map((t) => [t, 'copper' as const]))}
        >
          {(p) => <WayBackOverlay here={here} s={s} p={p} />}
        </Mat>
      </main>
      <aside
        aria-label="Ledger"
        tabIndex={0}
        className="traveller-ledger scroll-thin min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-3.5"
      >
        <Head
          sub={
            s.steps.length === 0
              ? 'It stands as it came. From the first screw that is signed out the way back to here stands on this page.'
              : 'What went on comes off first, then the strip-down is read backwards, on new pads as thick as the old ones were.'
          }
        >
          {s.allSigned
            ? 'Back to stock'
            : s.steps.length === 0
              ? 'Nothing is off yet'
              : `${s.steps.filter((x) => !s.signed.has(x.id)).length} steps to stock`}
        </Head>
        {s.step?.detail && (
          <Section title="Now">
            <Why>{s.step.detail}</Why>
            {s.step.caution && <Why tone="text-amber">{s.step.caution}</Why>}
          </Section>
        )}
        {(job.plan.care.lost ?? []).length > 0 && (
          <Section title="Does not go back as it was">
            {job.plan.care.lost!.map((words) => (
              <Why key={words}>{words}</Why>
            ))}
          </Section>
        )}
        {s.steps.length > 0 && (
          <Section title="Order">
            <StepList s={s} />
          </Section>
        )}
        {here.teardown && s.steps.length > 0 && (
          <Section title="Tray">
            <TrayMap tray={here.teardown.tray} lit={s.step?.targets} />
          </Section>
        )}
      </aside>
      <div className="traveller-line">
        {s.steps.length > 0 ? (
          <StepLine job={job} here={here} s={s} onBench={bench} note={note} setNote={setNote} />
        ) : (
          <footer className="flex min-h-[92px] items-center bg-line px-5 text-on-line">
            <p className="text-[19px]">Nothing to put back.</p>
          </footer>
        )}
      </div>
    </div>
  )
}
