import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { answer, http, type JobView, type Schemas } from '../../api/client'
import { Link } from '../../app/router'
import { Band } from '../../ui/Band'
import { Button } from '../../ui/Button'
import { fixed, range } from '../../ui/format'
import { asked, type Here, troublesOf } from '../here'
import { Head, Row, Section, Why } from '../Ledger'
import type { RoomProps } from '../room'
import { StepList } from '../StepList'
import type { Steps } from '../useSteps'
import { Faults } from './Faults'
import { PutAway } from './PutAway'
import type { Slice } from './room'
import type { Line } from './SectionView'

/** Gap bands with the pad on the same scale, where the block comes to rest, and what else would do. */
export function PadsLedger({ job, here, s, selected, select, own }: RoomProps<Slice>) {
  const { pads, seating, gaps } = here
  const cutting = job.plan.pads.cutting
  if (!gaps)
    return (
      <Head tone="text-plum" sub={troublesOf(job) || 'Choose a block at Match first.'}>
        No pads yet
      </Head>
    )
  const groups = Object.values(
    Object.groupBy(
      pads,
      (p) =>
        `${p.kind} ${p.thicknessMm} ${p.material} ${Math.round((gaps.pairs.find((g) => g.part === p.part)?.nominalMm ?? 0) * 50)}`,
    ),
  ) as Schemas['PlacedPad'][][]
  return (
    <>
      <Head tone={here.rest?.wrong ? 'text-plum' : 'text-cool'} sub={seating?.why}>
        {here.rest?.verdict}
      </Head>
      <div className="mt-2">
        <Button
          kind={own.active ? 'go' : 'plain'}
          aria-pressed={own.active}
          keyName="X"
          onClick={() => own.setActive(!own.active)}
        >
          {own.active ? 'Click two points on the mat' : 'Cut a section'}
        </Button>
      </div>
      {here.evidence
        .filter((e) => !e.agrees)
        .map((e) => (
          <Why key={e.part} tone="text-plum">
            {e.text}
          </Why>
        ))}
      {selected && pads.some((p) => p.part === selected) ? (
        <OnePad job={job} here={here} s={s} selected={selected} select={select} setLine={own.setLine} />
      ) : (
        <Section title="Gap with its tolerance, the pad, and the gaps that pad can fill">
          <table className="w-full">
            <tbody>
              {groups.map((g) => {
                const gap = gaps.pairs.find((x) => x.part === g[0].part)!
                return (
                  <tr key={g[0].letter} className="cursor-pointer" onClick={() => select(g[0].part)}>
                    <td className="num w-16 text-[15px] leading-tight">
                      <button type="button" className="text-left">
                        {letters(g.map((p) => p.letter))}
                      </button>
                    </td>
                    <td>
                      <Band
                        gapMin={gap.minMm}
                        gapMax={gap.maxMm}
                        fillMin={g[0].fit?.fillsMinMm ?? g[0].thicknessMm}
                        fillMax={g[0].fit?.fillsMaxMm ?? g[0].thicknessMm}
                        padMm={g[0].thicknessMm}
                        good={g[0].fit?.state === 'good'}
                      />
                    </td>
                    <td
                      className={`num whitespace-nowrap text-right text-[15.5px] ${g[0].fit?.state === 'good' ? '' : 'text-plum'}`}
                    >
                      {g[0].fit?.squashText}
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </table>
          <p className="num ml-16 flex w-[180px] justify-between text-[13px] text-soft">
            <span>0</span>
            <span>0.5</span>
            <span>1.0</span>
            <span>1.5</span>
            <span>2 mm</span>
          </p>
        </Section>
      )}
      {seating && seating.dies.length > 0 && (
        <Section title="Where the block comes to rest">
          {seating.dies.map((d) => (
            <div key={d.part}>
              <Row
                name={`film over ${d.part}`}
                value={
                  d.loadUnknown
                    ? d.loadText
                    : range(Math.min(...d.bondLinesUm), Math.max(...d.bondLinesUm), (v) => v.toFixed(0))
                }
                unit={d.loadUnknown ? undefined : 'µm'}
                tone={seating.floats ? 'text-plum' : ''}
              />
              <Row
                name={`load on ${d.part}${d.maxLoadN ? `, of ${d.maxLoadN}` : ''}`}
                value={d.loadText}
                tone={d.maxLoadN != null && d.loadN > d.maxLoadN ? 'text-plum' : ''}
              />
              <Row
                name={`peak pressure${d.maxPressureMPa ? `, of ${d.maxPressureMPa}` : ''}`}
                value={d.edgeText}
                tone={d.maxPressureMPa != null && d.peakMPa > d.maxPressureMPa ? 'text-plum' : ''}
              />
            </div>
          ))}
          <Row name="tilt" value={fixed(Math.hypot(...seating.tiltDeg), 2)} unit="°" />
          <Row name="pads push back" value={seating.pads.reduce((n, p) => n + p.loadN, 0).toFixed(0)} unit="N" />
        </Section>
      )}
      {cutting && cutting.sheets.length > 0 && (
        <Section title="Cutting">
          {cutting.sheets.map((x, i) => (
            <div key={i}>
              <Row
                name={`${x.offcut ? 'offcut' : 'sheet'} ${x.stockId}`}
                value={`${x.placements.length} pieces, ${x.cuts.length} cuts`}
              />
              <PutAway job={job} s={s} sheet={i + 1} rests={x.restsWorthKeeping} />
            </div>
          ))}
          <CutWays job={job} />
          {cutting.unplaced.map((u) => (
            <Why key={u.pieceId} tone="text-plum">
              {u.pieceId}: {u.reason}
            </Why>
          ))}
          <Link to={`/job/${job.id}/cutting`} className="mt-1 inline-block text-copper underline underline-offset-3">
            Open the cutting sheets
          </Link>
        </Section>
      )}
      {!selected && (
        <Section title="Why">
          {gaps.pairs
            .filter((g) => g.through === 'pad')
            .filter((g, i, all) => all.findIndex((x) => x.land === g.land) === i)
            .slice(0, 5)
            .map((g) => (
              <Why key={g.part}>{g.why}</Why>
            ))}
        </Section>
      )}
      <Section title="Steps">
        <StepList s={s} />
      </Section>
    </>
  )
}

/** What a piece for each part costs beside strips. */
function CutWays({ job }: { job: JobView }) {
  const ways = useQuery({
    queryKey: ['cut-ways', job.id, job.version],
    placeholderData: keepPreviousData,
    queryFn: () => answer(http.GET('/api/jobs/{id}/cutting/ways', { params: { path: { id: job.id } } })),
  }).data
  if (!ways || ways.length < 2) return null
  return ways.map((w) => (
    <Why key={w.way}>
      {w.way === 'strips' ? 'In strips' : 'A piece for each part'}
      {w.ownWay ? ', as chosen' : ''}: {w.text}.
    </Why>
  ))
}

/** One pad: its band, why, and other thicknesses to try; the seating answers at once. */
function OnePad({
  job,
  here,
  s,
  selected,
  select,
  setLine,
}: {
  job: JobView
  here: Here
  s: Steps
  selected: string
  select: (id?: string) => void
  setLine: (l: Line) => void
}) {
  const pad = here.pads.find((p) => p.part === selected)!
  const gap = here.gaps!.pairs.find((g) => g.part === selected)!
  const like = pad.like
  const own = (c: Schemas['LaidPad']) => (c.board ?? job.order.pieces[0].key) === here.boardKey && like.includes(c.part)
  const choose = (o: { thicknessMm: number; material: string } | null, parts: string[]) =>
    s.changes.change.mutate(
      {
        padChoices: [
          ...job.padChoices.filter((c) => !own(c)),
          ...(o ? parts.map((part) => ({ part, board: here.boardKey, ...o })) : []),
        ],
      },
      { onError: s.refuse },
    )
  const ranked = useQuery({
    queryKey: ['alternatives', job.id, job.version, selected, here.pairKey],
    queryFn: () =>
      answer(
        http.GET('/api/jobs/{id}/alternatives', {
          params: { path: { id: job.id }, query: { part: selected, ...asked(here) } },
        }),
      ),
    placeholderData: keepPreviousData,
  }).data
  const cost = useQuery({
    queryKey: ['expect', job.id, job.version, job.sheets.versions, here.pairKey, here.boardKey, 'pad'],
    enabled: !!here.seating?.dies.length && here.block?.flow != null,
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: () => answer(http.GET('/api/jobs/{id}/expect', { params: { path: { id: job.id }, query: asked(here) } })),
  }).data?.result.parts.find((x) => x.part === selected)
  return (
    <Section title={`Pad ${pad.letter} on ${pad.part}`}>
      <div className="flex items-center justify-between">
        <Band
          gapMin={gap.minMm}
          gapMax={gap.maxMm}
          fillMin={pad.fit?.fillsMinMm ?? pad.thicknessMm}
          fillMax={pad.fit?.fillsMaxMm ?? pad.thicknessMm}
          padMm={pad.thicknessMm}
          good={pad.fit?.state === 'good'}
        />
        <button type="button" className="min-h-9 px-2 text-copper underline" onClick={() => select(undefined)}>
          all pads
        </button>
      </div>
      <Why>{gap.why}</Why>
      {cost && (
        <>
          <Row name={`${pad.part} over its land, through this pad`} value={fixed(cost.throughK, 1)} unit="K" />
          <Row
            name="it will run at"
            value={`${cost.c.toFixed(0)}${cost.limitC == null ? '' : ` of ${cost.limitC.toFixed(0)}`}`}
            unit="°C"
            tone={cost.limitC != null && cost.c > cost.limitC ? 'text-plum' : undefined}
          />
        </>
      )}
      <p className="mt-2 text-[13px] font-semibold text-soft">
        What may I use instead, on all {like.length} of its kind, best first
      </p>
      <div className="mt-1">
        {(ranked ?? []).map((o) => {
          const on = o.thicknessMm === pad.thicknessMm && o.material === pad.material
          return (
            <button
              key={`${o.thicknessMm}${o.material}`}
              type="button"
              aria-pressed={on}
              onClick={() => choose(o, like)}
              className={`grid w-full grid-cols-[104px_1fr] items-baseline gap-2 border-b border-rule/60 px-1 py-1.5 text-left ${on ? 'bg-copper-wash' : ''}`}
            >
              <span className="num text-[16px] font-semibold">
                {fixed(o.thicknessMm, 1)} {o.material}
              </span>
              <span className={`text-[14px] leading-snug ${o.wrong ? 'text-plum' : 'text-soft'}`}>{o.text}</span>
            </button>
          )
        })}
        {pad.chosen && (
          <button type="button" onClick={() => choose(null, like)} className="px-2 py-1 text-copper underline">
            as calculated
          </button>
        )}
      </div>
      <div className="mt-2 flex gap-2">
        <Button onClick={() => setLine(through(here, selected, true))}>Section along x</Button>
        <Button onClick={() => setLine(through(here, selected, false))}>along y</Button>
      </div>
      {here.evidence
        .filter((e) => e.part === selected)
        .map((e) => (
          <Why key={e.part} tone={e.agrees ? '' : 'text-plum'}>
            {e.text}
          </Why>
        ))}
      <Faults key={selected} job={job} here={here} part={selected} />
    </Section>
  )
}

/** A line across the whole board through the middle of a part. */
function through(here: Here, part: string, alongX: boolean) {
  const at = here.board.parts.find((p) => p.id === part)!
  const xs = (here.board.outline as number[][]).map((p) => p[alongX ? 0 : 1])
  const [a, b] = [Math.min(...xs), Math.max(...xs)]
  return alongX ? { x1: a, y1: at.y, x2: b, y2: at.y } : { x1: at.x, y1: a, x2: at.x, y2: b }
}

/** "A–F" for a run, else the letters. */
function letters(list: string[]) {
  const run =
    list.length > 2 &&
    list.every((l) => l.length === 1) &&
    list[list.length - 1].charCodeAt(0) - list[0].charCodeAt(0) === list.length - 1
  return run
    ? `${list[0]}–${list[list.length - 1]}`
    : list.length > 4
      ? `${list.slice(0, 3).join(' ')} +${list.length - 3}`
      : list.join(' ')
}
