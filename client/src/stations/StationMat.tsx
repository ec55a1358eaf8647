import type { Face, JobView, Station } from '../api/client'
import { BlockLayer } from '../mat/BlockLayer'
import { Callout } from '../mat/Callout'
import { Mat } from '../mat/Mat'
import { PadLayer } from '../mat/PadLayer'
import { identity, placed } from '../mat/place'
import { PlaceTool } from '../mat/PlaceTool'
import { mm } from '../ui/format'
import { MatchOverlay } from './match/MatchOverlay'
import { BowLayer, type BowShown } from './mount/BowLayer'
import { MountOverlay } from './mount/MountOverlay'
import { SectionTool } from './pads/SectionTool'
import type { Line } from './pads/SectionView'
import { PasteOverlay } from './paste/PasteOverlay'
import { ProveOverlay } from './prove/ProveOverlay'
import type { Strip } from './teardown/StripDesk'
import { TeardownOverlay } from './teardown/TeardownOverlay'
import type { Steps } from './useSteps'

/** What each station draws over the same board. */
export function StationMat({
  job,
  station,
  s,
  face,
  onFlip,
  selected,
  select,
  section,
  place,
  bow,
}: {
  job: JobView
  station: Station
  s: Steps
  face: Face
  onFlip: () => void
  selected?: string
  select: (id?: string) => void
  section?: { active: boolean; line?: Line; set: (l: Line) => void }
  place?: Strip
  bow?: BowShown
}) {
  const { board, block, plan } = job
  const placement = plan.fit?.placement ?? identity
  const top = Math.max(...(board.outline as number[][]).map((p) => p[1]))
  const include =
    block && (station === 'match' || station === 'mount')
      ? block.plates.flatMap((p) => placed(placement, p.outline as number[][]))
      : []
  const targets = new Set(s.step?.targets ?? [])
  const tint: Record<string, 'plum' | 'amber' | 'copper' | 'cool'> = {}
  if (station === 'match') {
    plan.fit?.uncovered.forEach((id) => {
      tint[id] = 'amber'
    })
    plan.fit?.tight.forEach((t) => {
      tint[t.part] = 'amber'
    })
    plan.fit?.clashes.forEach((c) => {
      tint[c.part] = 'plum'
    })
  } else if (station !== 'pads')
    targets.forEach((id) => {
      tint[id] = 'copper'
    })
  if (station === 'prep' && targets.size === 0)
    board.parts
      .filter((x) => x.cool !== 'no' && x.face === face)
      .forEach((x) => {
        tint[x.id] = 'copper'
      })
  const gap = plan.gaps?.pairs.find((g) => g.part === selected)
  const pad = plan.pads.find((x) => x.part === selected)
  return (
    <Mat
      board={board}
      face={face}
      onFlip={onFlip}
      label={`${board.model}, ${station}`}
      selected={selected}
      onPick={select}
      tint={tint}
      include={include}
      legend={legends[station]}
      quiet={station === 'pads'}
    >
      {(p) => (
        <>
          {block && (station === 'match' || station === 'pads' || station === 'paste' || station === 'prove') && (
            <BlockLayer
              block={block}
              placement={placement}
              p={p}
              pockets={station === 'match'}
              fill={station === 'match'}
              lands={station === 'match' || station === 'pads'}
            />
          )}
          {station === 'match' && block && plan.fit && (
            <MatchOverlay board={board} block={block} fit={plan.fit} p={p} top={top} />
          )}
          {station === 'teardown' && <TeardownOverlay job={job} s={s} p={p} />}
          {station === 'pads' && <PadLayer board={board} pads={plan.pads} p={p} selected={selected} onPick={select} />}
          {station === 'pads' && pad && gap && (
            <Callout
              p={p}
              at={at(job, pad.part)}
              topMm={top}
              tone={pad.fit?.state === 'good' ? 'cool' : 'plum'}
              text={`${pad.letter}: gap ${mm(gap.nominalMm)} mm, ${pad.thicknessMm.toFixed(1)} mm pad ${pad.fit?.state === 'good' ? 'fills it' : pad.fit?.state === 'crushed' ? 'is crushed' : 'barely touches'}`}
            />
          )}
          {job.photos
            .filter((x) => x.xMm != null && x.face === face)
            .map((x) => (
              <PhotoPin key={x.id} x={p.x(x.xMm!)} y={p.y(x.yMm!)} id={x.id} by={x.by} />
            ))}
          {place && (
            <PlaceTool
              p={p}
              board={board}
              places={place.places}
              onPlace={(at) => place.set({ on: true, places: [...place.places, at] })}
            />
          )}
          {section?.active && <SectionTool p={p} line={section.line} onLine={section.set} />}
          {section && !section.active && section.line && (
            <path
              d={`M${p.x(section.line.x1)} ${p.y(section.line.y1)}L${p.x(section.line.x2)} ${p.y(section.line.y2)}`}
              stroke="var(--copper)"
              strokeWidth={2.5}
              strokeDasharray="14 4 3 4"
            />
          )}
          {station === 'paste' && <PasteOverlay job={job} p={p} />}
          {bow && <BowLayer job={job} which={bow} p={p} />}
          {station === 'mount' && block && <MountOverlay job={job} block={block} placement={placement} s={s} p={p} />}
          {station === 'prove' && <ProveOverlay job={job} p={p} top={top} />}
        </>
      )}
    </Mat>
  )
}

/** A photo pinned to its place: opens it. */
const PhotoPin = ({ x, y, id, by }: { x: number; y: number; id: number; by: string }) => (
  <a href={`/api/photos/${id}`} target="_blank" rel="noreferrer" aria-label={`Photo ${id} by ${by}`}>
    <g transform={`translate(${x} ${y - 12})`}>
      <rect x={-11} y={-8} width={22} height={16} rx={2} fill="var(--raised)" stroke="var(--ink)" strokeWidth={1.6} />
      <circle r={4.5} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
      <path d="M-4 8L0 13L4 8" fill="var(--ink)" />
    </g>
  </a>
)

const at = (job: JobView, part: string): [number, number] => {
  const found = job.board.parts.find((x) => x.id === part)
  return found ? [found.x, found.y] : [0, 0]
}

const land = (
  <span>
    <span className="mr-1 inline-block h-3 w-4 border-2 border-copper align-[-1px]" />
    land
  </span>
)
const plate = (
  <span>
    <span className="mr-1 inline-block w-5 border-t-2 border-dashed border-copper align-[4px]" />
    block
  </span>
)
const legends: Record<Station, React.ReactNode> = {
  match: (
    <>
      {plate}
      {land}
    </>
  ),
  kit: <span>bare board</span>,
  teardown: <span>screws by drive, in order</span>,
  prep: <span>faces to clean</span>,
  pads: (
    <>
      {land}
      <span>pad: letter, mm, squash %</span>
    </>
  ),
  paste: <span>film at the die's corners, µm</span>,
  mount: <span>screws by drive, in order</span>,
  prove: <span>°C under load</span>,
  care: <span>as built</span>,
}
