import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { answer, http, type JobView, type Schemas } from '../../api/client'
import { useDrawer } from '../../api/queries'
import { Band } from '../../ui/Band'
import { Button } from '../../ui/Button'
import { percent, range } from '../../ui/format'
import { Head, Row, Section, Why } from '../Ledger'
import { StepList } from '../StepList'
import { Faults } from './Faults'
import type { LedgerProps } from '../Traveller'

/** Gap bands with the pad on the same scale, where the block comes to rest, and what else would do. */
export function PadsLedger({ job, s, selected, select, cutting: slicing, setCutting, setLine }: LedgerProps) {
  const { pads, seating, gaps, cutting } = job.plan
  const materials = useDrawer().data?.drawer.materials ?? []
  if (!gaps)
    return (
      <Head tone="text-plum" sub={job.plan.troubles.join(' ') || 'Choose a block at Match first.'}>
        No pads yet
      </Head>
    )
  const bad = pads.filter((p) => p.fit?.state !== 'good')
  const groups = Object.values(
    Object.groupBy(
      pads,
      (p) =>
        `${p.kind} ${p.thicknessMm} ${p.material} ${Math.round((gaps.pairs.find((g) => g.part === p.part)?.nominalMm ?? 0) * 50)}`,
    ),
  ) as Schemas['PlacedPad'][][]
  return (
    <>
      <Head tone={seating?.floats || bad.length ? 'text-plum' : 'text-cool'} sub={seating?.why}>
        {seating?.floats
          ? 'The block floats'
          : bad.length
            ? `${bad.length} ${bad.length === 1 ? 'pad does' : 'pads do'} not fit`
            : 'Every pad touches'}
      </Head>
      <div className="mt-2">
        <Button
          kind={slicing ? 'go' : 'plain'}
          aria-pressed={slicing}
          keyName="X"
          onClick={() => setCutting?.(!slicing)}
        >
          {slicing ? 'Click two points on the mat' : 'Cut a section'}
        </Button>
      </div>
      {job.plan.evidence
        .filter((e) => !e.agrees)
        .map((e) => (
          <Why key={e.part} tone="text-plum">
            {e.text}
          </Why>
        ))}
      {selected && pads.some((p) => p.part === selected) ? (
        <OnePad job={job} s={s} selected={selected} select={select} materials={materials} setLine={setLine} />
      ) : (
        <Section title="Gap with its tolerance, the pad, and the gaps that pad can fill">
          <table className="w-full">
            <tbody>
              {groups.map((g) => {
                const gap = gaps.pairs.find((x) => x.part === g[0].part)!
                const m = materials.find((x) => x.id === g[0].material)
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
                        fillMin={g[0].thicknessMm * (1 - (m?.squashMax ?? 0.45))}
                        fillMax={g[0].thicknessMm * (1 - (m?.squashMin ?? 0.1))}
                        padMm={g[0].thicknessMm}
                        good={g[0].fit?.state === 'good'}
                      />
                    </td>
                    <td
                      className={`num whitespace-nowrap text-right text-[15.5px] ${g[0].fit?.state === 'good' ? '' : 'text-plum'}`}
                    >
                      {g[0].fit && range(g[0].fit.squashMin, g[0].fit.squashMax, percent)} %
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
                value={range(Math.min(...d.bondLinesUm), Math.max(...d.bondLinesUm), (v) => v.toFixed(0))}
                unit="µm"
                tone={seating.floats ? 'text-plum' : ''}
              />
              <Row
                name={`load on ${d.part}${d.maxLoadN ? `, of ${d.maxLoadN}` : ''}`}
                value={d.loadN.toFixed(0)}
                unit="N"
                tone={d.maxLoadN != null && d.loadN > d.maxLoadN ? 'text-plum' : ''}
              />
              <Row
                name={`peak pressure${d.maxPressureMPa ? `, of ${d.maxPressureMPa}` : ''}`}
                value={d.peakMPa.toFixed(1)}
                unit="MPa"
                tone={d.maxPressureMPa != null && d.peakMPa > d.maxPressureMPa ? 'text-plum' : ''}
              />
            </div>
          ))}
          <Row name="tilt" value={Math.hypot(...seating.tiltDeg).toFixed(2)} unit="°" />
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
              <PutAway job={job} s={s} sheet={i + 1} rests={x.leftovers} />
            </div>
          ))}
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

/** One pad: its band, why, and other thicknesses to try; the seating answers at once. */
function OnePad({
  job,
  s,
  selected,
  select,
  materials,
  setLine,
}: {
  job: JobView
  s: LedgerProps['s']
  selected: string
  select: (id?: string) => void
  materials: Schemas['PadMaterial'][]
  setLine?: LedgerProps['setLine']
}) {
  const pad = job.plan.pads.find((p) => p.part === selected)!
  const gap = job.plan.gaps!.pairs.find((g) => g.part === selected)!
  const stock = useDrawer().data?.drawer.pads ?? []
  const options = [
    ...new Map(
      [
        ...stock.map((x) => [x.thicknessMm, x.material] as const),
        ...(job.block?.kit?.pads ?? []).map((x) => [x.thicknessMm, x.material] as const),
      ].map(([t, m]) => [`${t} ${m}`, { thicknessMm: t, material: m }]),
    ).values(),
  ].sort((a, b) => a.thicknessMm - b.thicknessMm)
  const like = job.plan.pads.filter((p) => p.kind === pad.kind && p.face === pad.face).map((p) => p.part)
  const choose = (o: { thicknessMm: number; material: string } | null, parts: string[]) =>
    s.changes.change.mutate(
      {
        padChoices: [
          ...job.padChoices.filter((c) => !parts.includes(c.part)),
          ...(o ? parts.map((part) => ({ part, ...o })) : []),
        ],
      },
      { onError: s.refuse },
    )
  const m = materials.find((x) => x.id === pad.material)
  const ranked = useQuery({
    queryKey: ['alternatives', job.id, job.version, selected],
    queryFn: () =>
      answer(http.GET('/api/jobs/{id}/alternatives', { params: { path: { id: job.id }, query: { part: selected } } })),
    placeholderData: keepPreviousData,
  }).data
  return (
    <Section title={`Pad ${pad.letter} on ${pad.part}`}>
      <div className="flex items-center justify-between">
        <Band
          gapMin={gap.minMm}
          gapMax={gap.maxMm}
          fillMin={pad.thicknessMm * (1 - (m?.squashMax ?? 0.45))}
          fillMax={pad.thicknessMm * (1 - (m?.squashMin ?? 0.1))}
          padMm={pad.thicknessMm}
          good={pad.fit?.state === 'good'}
        />
        <button type="button" className="min-h-9 px-2 text-copper underline" onClick={() => select(undefined)}>
          all pads
        </button>
      </div>
      <Why>{gap.why}</Why>
      <p className="mt-2 text-[13px] font-semibold text-soft">
        What may I use instead, on all {like.length} of its kind, best first
      </p>
      <div className="mt-1">
        {(ranked ?? options.map((o) => ({ ...o, floats: false, tooMuch: false, text: '…' }))).map((o) => {
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
                {o.thicknessMm.toFixed(1)} {o.material}
              </span>
              <span
                className={`text-[14px] leading-snug ${o.floats || o.tooMuch || o.text === 'does not touch' ? 'text-plum' : 'text-soft'}`}
              >
                {o.text}
              </span>
            </button>
          )
        })}
        {pad.chosen && (
          <button type="button" onClick={() => choose(null, like)} className="px-2 py-1 text-copper underline">
            as reckoned
          </button>
        )}
      </div>
      <div className="mt-2 flex gap-2">
        <Button onClick={() => setLine?.(through(job, selected, true))}>Section along x</Button>
        <Button onClick={() => setLine?.(through(job, selected, false))}>along y</Button>
      </div>
      {job.plan.evidence
        .filter((e) => e.part === selected)
        .map((e) => (
          <Why key={e.part} tone={e.agrees ? '' : 'text-plum'}>
            {e.text}
          </Why>
        ))}
      <Faults key={selected} job={job} part={selected} />
    </Section>
  )
}

/** Once a sheet is cut its useful rests go into the drawer with one press. */
export function PutAway({
  job,
  s,
  sheet,
  rests,
}: {
  job: JobView
  s: LedgerProps['s']
  sheet: number
  rests: Schemas['Leftover'][]
}) {
  const cut = job.steps.some((x) => x.stepId === `pads.cut-${sheet}` && x.signed)
  const kept = rests.filter((r) => r.widthMm >= 8 && r.depthMm >= 8)
  if (!cut) return null
  if (job.sheets.cutting?.putAway.includes(sheet))
    return (
      <p className="text-[13.5px] text-cool">
        {kept.length === 0
          ? 'taken off the drawer'
          : `${kept.length} ${kept.length === 1 ? 'offcut lies' : 'offcuts lie'} in the drawer`}
      </p>
    )
  return (
    <Button
      className="my-1"
      kind="go"
      disabled={s.changes.putAway.isPending}
      onClick={() => s.changes.putAway.mutate({ sheet, by: s.by }, { onError: s.refuse })}
    >
      {kept.length === 0
        ? 'Take the sheet off the drawer'
        : `Put ${kept.length} ${kept.length === 1 ? 'offcut' : 'offcuts'} in the drawer`}
    </Button>
  )
}

/** A line across the whole board through the middle of a part. */
function through(job: JobView, part: string, alongX: boolean) {
  const at = job.board.parts.find((p) => p.id === part)!
  const xs = (job.board.outline as number[][]).map((p) => p[alongX ? 0 : 1])
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
