import { Suspense, useState } from 'react'
import type { Face, JobView, Station } from '../api/client'
import { useTimers } from '../api/papers'
import { useJob } from '../api/queries'
import { InHeader } from '../app/HeaderSlot'
import { useKeys } from '../app/keys'
import { Redirect, useNavigate, useParams } from '../app/router'
import { Button } from '../ui/Button'
import { left } from '../ui/format'
import { ErrorNotice, Loading } from '../ui/Notice'
import { useNow } from '../ui/useNow'
import { type Choice, hereOf } from './here'
import { LookAgain } from './LookAgain'
import { MomentSections } from './moment/MomentSections'
import { useMoment } from './moment/useMoment'
import { NewerDocuments } from './Newer'
import { OrderBar, useOrderKeys } from './OrderBar'
import { RoomMat } from './RoomMat'
import { Route } from './Route'
import type { RoomProps } from './room'
import { rooms, stations } from './rooms'
import { StepLine } from './StepLine'
import { useSteps } from './useSteps'
import { Ways } from './Ways'

/** A job at one of its stations. */
export function Traveller() {
  const { id, station } = useParams()
  const job = useJob(Number(id))
  if (job.error && !job.data) return <ErrorNotice error={job.error} again={() => job.refetch()} />
  if (!job.data) return <Loading what="the traveller" />
  if (!station || !stations.includes(station as Station))
    return <Redirect replace to={`/job/${id}/${job.data.route.find((r) => !r.complete)?.station ?? 'care'}`} />
  return <Sheet key={station} job={job.data} station={station as Station} />
}

function Sheet({ job, station }: { job: JobView; station: Station }) {
  const room = rooms[station]
  const s = useSteps(job, station)
  const go = useNavigate()
  const [chosen, choose] = useState<Choice>({})
  const [face, setFace] = useState<Face | null>(null)
  const [selected, select] = useState<string>()
  const [note, setNote] = useState(false)
  const [viewing, setViewing] = useState(false)
  const shown = face ?? s.step?.face ?? 'front'
  const flip = () => setFace(shown === 'front' ? 'back' : 'front')
  // the step at hand turns to its own board and block until somebody chooses
  const here = hereOf(job, {
    board: chosen.board ?? s.step?.board ?? undefined,
    pair: chosen.pair ?? s.step?.pair ?? undefined,
  })
  const own = room.useOwn({ job, here, face: shown })
  const props: RoomProps = { job, here, s, face: shown, selected, select, own }
  const moment = useMoment(job, s.step?.id)
  const bench = () => go(`/job/${job.id}/${station}/bench`)
  const running = useTimers(job).find((t) => t.stepId === s.step?.id)
  const roomKeys = room.keys?.(props) ?? {}
  const orderKeys = useOrderKeys(job, here, choose)
  useKeys({
    Space: () => {
      if (s.step?.turns.length) s.tick()
      else s.sign()
      setFace(null)
      choose({})
    },
    Backspace: s.back,
    Enter: () => (s.step?.turns.length ? s.signAll() : undefined),
    f: flip,
    ArrowLeft: () => s.look(-1),
    ArrowRight: () => s.look(1),
    g: bench,
    n: () => setNote(true),
    '+': () => s.setCount(s.count + 1),
    '-': () => s.setCount(s.count - 1),
    t: () => {
      if (s.step?.timerS != null && !running) s.changes.startTimer.mutate({ stepId: s.step.id, by: s.by })
    },
    ...Object.fromEntries(stations.map((st, i) => [String(i + 1), () => go(`/job/${job.id}/${st}`)])),
    ...orderKeys,
    ...roomKeys,
    Escape: (e) => {
      select(undefined)
      roomKeys.Escape?.(e)
    },
  })
  /** Turns to a step, in its own station. */
  const lookAt = (stepId: string) => {
    const at = job.steps.find((x) => x.stepId === stepId)?.station
    if (at === station) s.lookAt(stepId)
    else if (at) go(`/job/${job.id}/${at}`)
  }
  const view = room.view?.shows(here) ? room.view : undefined
  return (
    <div className="traveller">
      <InHeader>
        <b className="max-w-[50%] shrink-0 truncate text-[17px] max-[1100px]:max-w-full">{job.boardName}</b>
        <span className="truncate text-soft">
          job {job.id}, {job.kindName}
          {job.blockName ? `: ${job.blockName}` : ''}
        </span>
        <span className="flex-1" />
        <HeaderTimers job={job} />
      </InHeader>
      <Route job={job} station={station} />
      <main className="traveller-mat flex min-h-0 min-w-0 flex-col" aria-label="Mat">
        <OrderBar job={job} here={here} choose={choose} />
        {view && viewing ? (
          <Suspense fallback={<Loading what="the view" />}>
            <view.View {...props} onClose={() => setViewing(false)} />
          </Suspense>
        ) : (
          <>
            <RoomMat
              room={room}
              props={props}
              label={`${here.board.model}, ${station}`}
              onFlip={flip}
              choose={choose}
              moment={moment}
            />
            {room.Below && <room.Below {...props} />}
          </>
        )}
      </main>
      <aside
        aria-label="Ledger"
        tabIndex={0}
        className="traveller-ledger scroll-thin min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-3.5"
      >
        {view && (
          <Button className="mb-3" kind={viewing ? 'plain' : 'go'} onClick={() => setViewing(!viewing)}>
            {viewing ? 'Show the mat' : view.open}
          </Button>
        )}
        <NewerDocuments job={job} />
        <LookAgain job={job} station={station} s={s} />
        {!s.isSigned && <MomentSections job={job} moment={moment} look={lookAt} />}
        <room.Ledger {...props} />
        <Ways job={job} station={station} s={s} />
      </aside>
      <div className="traveller-line">
        <StepLine
          job={job}
          here={here}
          s={s}
          onBench={room.hands ? bench : undefined}
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
  return useTimers(job)
    .slice(0, 1)
    .map((t) => {
      const { text, over } = left(t.endsAt, now)
      return (
        <span
          key={t.id}
          className="flex min-w-[11.5rem] items-center justify-between gap-2 rounded-[3px] border border-rule bg-card px-2.5 py-1 max-[1100px]:min-w-[9rem]"
        >
          <span className="min-w-0 truncate text-soft">{t.label}</span>
          <b className={`num shrink-0 text-[19px] ${over ? 'text-plum' : ''}`}>{over ? `over ${text}` : text}</b>
        </span>
      )
    })
}
