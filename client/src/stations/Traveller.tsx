import { lazy, Suspense, useState } from 'react'
import { Navigate, useNavigate, useParams } from 'react-router'
import type { Face, JobView, Station } from '../api/client'
import { useJob } from '../api/queries'
import { InHeader } from '../app/HeaderSlot'
import { useKeys } from '../app/keys'
import { Button } from '../ui/Button'
import { ErrorNotice, Loading } from '../ui/Notice'
import { left } from '../ui/format'
import { useNow } from '../ui/useNow'
import { CareLedger } from './care/CareLedger'
import { KitLedger } from './kit/KitLedger'
import { MatchLedger } from './match/MatchLedger'
import type { BowShown } from './mount/BowLayer'
import { MountLedger } from './mount/MountLedger'
import { PadsLedger } from './pads/PadsLedger'
import { PasteLedger } from './paste/PasteLedger'
import { PrepLedger } from './prep/PrepLedger'
import { ProveLedger } from './prove/ProveLedger'
import { SectionView, type Line } from './pads/SectionView'
import { Route } from './Route'
import { StationMat } from './StationMat'
import { StepLine } from './StepLine'
import type { Strip } from './teardown/StripDesk'
import { TeardownLedger } from './teardown/TeardownLedger'
import { useSteps, type Steps } from './useSteps'
import { Ways } from './Ways'

const SqueezeLab = lazy(() => import('./paste/SqueezeLab').then((m) => ({ default: m.SqueezeLab })))

const Practice = lazy(() => import('./mount/Practice').then((m) => ({ default: m.Practice })))

const order: Station[] = ['match', 'kit', 'teardown', 'prep', 'pads', 'paste', 'mount', 'prove', 'care']

export interface LedgerProps {
  job: JobView
  s: Steps
  selected?: string
  select: (id?: string) => void
  cutting?: boolean
  setCutting?: (on: boolean) => void
  setLine?: (l: Line) => void
  strip?: Strip
  bow?: BowShown
  showBow?: (b?: BowShown) => void
}

const ledgers: Record<Station, (p: LedgerProps) => React.ReactNode> = {
  match: MatchLedger,
  kit: KitLedger,
  teardown: TeardownLedger,
  prep: PrepLedger,
  pads: PadsLedger,
  paste: PasteLedger,
  mount: MountLedger,
  prove: ProveLedger,
  care: CareLedger,
}

export function Traveller() {
  const { id, station } = useParams()
  const job = useJob(Number(id))
  if (job.error && !job.data) return <ErrorNotice error={job.error} again={() => job.refetch()} />
  if (!job.data) return <Loading what="the traveller" />
  if (!station || !order.includes(station as Station))
    return <Navigate replace to={`/job/${id}/${job.data.route.find((r) => !r.complete)?.station ?? 'care'}`} />
  return <Sheet job={job.data} station={station as Station} />
}

function Sheet({ job, station }: { job: JobView; station: Station }) {
  const s = useSteps(job, station)
  const go = useNavigate()
  const [face, setFace] = useState<Face | null>(null)
  const [selected, select] = useState<string>()
  const [note, setNote] = useState(false)
  const [cutting, setCutting] = useState(false)
  const [line, setLine] = useState<Line>()
  const [bow, showBow] = useState<BowShown>()
  const [stripping, setStripping] = useState<{ on: boolean; places: [number, number][] }>({ on: false, places: [] })
  const sectioned = station === 'pads'
  const [labOf, setLabOf] = useState<Station>()
  const lab = labOf === station
  const setLab = (on: boolean) => setLabOf(on ? station : undefined)
  const shown = face ?? s.step?.face ?? 'front'
  const flip = () => setFace(shown === 'front' ? 'back' : 'front')
  const strip: Strip = { ...stripping, set: setStripping, face: shown }
  const bench = () => go(`/job/${job.id}/${station}/bench`)
  const running = job.timers.find((t) => t.stepId === s.step?.id)
  useKeys({
    Space: () => {
      s.sign()
      setFace(null)
    },
    Backspace: s.back,
    f: flip,
    ArrowLeft: () => s.look(-1),
    ArrowRight: () => s.look(1),
    g: bench,
    n: () => setNote(true),
    '+': () => s.setCount(s.count + 1),
    '-': () => s.setCount(s.count - 1),
    Escape: () => {
      select(undefined)
      setCutting(false)
      setLine(undefined)
    },
    x: () => {
      if (sectioned) setCutting(!cutting)
    },
    t: () => {
      if (s.step?.timerS != null && !running) s.changes.startTimer.mutate(s.step.id)
    },
    ...Object.fromEntries(order.map((st, i) => [String(i + 1), () => go(`/job/${job.id}/${st}`)])),
  })
  const Ledger = ledgers[station]
  return (
    <div className="grid min-h-0 grid-cols-[207px_minmax(0,1fr)_332px] grid-rows-[minmax(0,1fr)_auto]">
      <InHeader>
        <b className="text-[17px]">{job.board.model}</b>
        <span className="truncate text-soft">
          board {job.board.boardCode} {job.board.revision}
          {job.block ? `, ${job.block.model}` : ''}, job {job.id}
        </span>
        <span className="flex-1" />
        <HeaderTimers job={job} />
      </InHeader>
      <Route job={job} station={station} />
      <main className="flex min-h-0 min-w-0" aria-label="Mat">
        {station === 'paste' && lab && job.plan.paste.length > 0 ? (
          <Suspense fallback={<Loading what="the patterns" />}>
            <SqueezeLab job={job} onClose={() => setLab(false)} />
          </Suspense>
        ) : station === 'mount' && lab && job.plan.tightening ? (
          <Suspense fallback={<Loading what="the practice" />}>
            <Practice job={job} onClose={() => setLab(false)} />
          </Suspense>
        ) : (
          <div className="flex min-h-0 min-w-0 flex-1 flex-col">
            <StationMat
              job={job}
              station={station}
              s={s}
              face={shown}
              onFlip={flip}
              selected={selected}
              select={select}
              bow={station === 'mount' ? bow : undefined}
              place={station === 'teardown' && stripping.on ? strip : undefined}
              section={
                sectioned && (cutting || line)
                  ? {
                      active: cutting,
                      line,
                      set: (l) => {
                        setLine(l)
                        setCutting(false)
                      },
                    }
                  : undefined
              }
            />
            {sectioned && line && (
              <SectionView
                job={job}
                line={line}
                onClose={() => {
                  setLine(undefined)
                  setCutting(false)
                }}
              />
            )}
          </div>
        )}
      </main>
      <aside
        aria-label="Ledger"
        tabIndex={0}
        className="scroll-thin min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-3.5"
      >
        {station === 'paste' && job.plan.paste.length > 0 && (
          <Button className="mb-3" kind={lab ? 'plain' : 'go'} onClick={() => setLab(!lab)}>
            {lab ? 'Show the mat' : 'Compare patterns'}
          </Button>
        )}
        {station === 'mount' && job.plan.tightening && (
          <Button className="mb-3" kind={lab ? 'plain' : 'go'} onClick={() => setLab(!lab)}>
            {lab ? 'Show the mat' : 'Practise it first'}
          </Button>
        )}
        <Ledger
          key={station}
          job={job}
          s={s}
          selected={selected}
          select={select}
          cutting={cutting}
          setCutting={setCutting}
          setLine={setLine}
          strip={strip}
          bow={bow}
          showBow={showBow}
        />
        <Ways job={job} station={station} s={s} />
      </aside>
      <div className="col-span-3 grid min-h-[84px]">
        <StepLine
          job={job}
          s={s}
          onBench={
            station === 'teardown' || station === 'mount' || station === 'pads' || station === 'prep'
              ? bench
              : undefined
          }
          note={note}
          setNote={setNote}
          selected={selected}
        />
      </div>
    </div>
  )
}

function HeaderTimers({ job }: { job: JobView }) {
  const now = useNow()
  return job.timers.slice(0, 1).map((t) => {
    const { text, over } = left(t.endsAt, now)
    return (
      <span key={t.id} className="flex min-w-0 items-center gap-2 rounded-[3px] border border-rule bg-card px-2.5 py-1">
        <span className="truncate text-soft">{t.label}</span>
        <b className={`num text-[19px] ${over ? 'text-plum' : ''}`}>{over ? `over ${text}` : text}</b>
      </span>
    )
  })
}
