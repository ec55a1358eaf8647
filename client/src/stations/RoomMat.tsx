import type { Face } from '../api/client'
import { BenchLayer, Over } from '../mat/BenchLayer'
import { BlockLayer } from '../mat/BlockLayer'
import { Mat } from '../mat/Mat'
import { OtherBlocks } from '../mat/OtherBlocks'
import { placed } from '../mat/place'
import { SeatLayer, seatPoints } from '../mat/SeatLayer'
import { StepPlaces } from '../mat/StepPlaces'
import type { Choice } from './here'
import type { Moment } from './moment/useMoment'
import type { Room, RoomProps, Tint } from './room'

/** The board on the mat with what a room draws over it. */
export function RoomMat({
  room,
  props,
  label,
  onFlip,
  choose,
  moment,
  big,
}: {
  room: Room
  props: RoomProps
  label: string
  onFlip: () => void
  /** Turns to another board of the order; without it the board lies alone. */
  choose?: (c: Choice) => void
  /** The bench right before the step. */
  moment?: Moment
  big?: boolean
}) {
  const { job, here, s, face, selected, select } = props
  const { board, block, placement } = here
  const top = Math.max(...(board.outline as number[][]).map((p) => p[1]))
  const lit: Tint = Object.fromEntries((s.step?.targets ?? []).map((id) => [id, 'copper' as const]))
  const focus = (big ? room.bench?.focus?.(props) : undefined) ?? seatPoints(here, s.step)
  const include = block && room.wide ? block.plates.flatMap((p) => placed(placement, p.outline as number[][])) : []
  const { pieces } = job.order
  const lies = room.lies ? moment?.boards.find((b) => b.board === here.boardKey) : undefined
  const several = pieces.length > 1 && choose && !focus
  return (
    <Mat
      board={board}
      name={several ? here.boardKey : undefined}
      others={
        several
          ? pieces
              .filter((x) => x.key !== here.boardKey)
              .map((x) => ({ key: x.key, board: x.board, turnTo: () => choose({ board: x.key }) }))
          : undefined
      }
      face={face}
      onFlip={onFlip}
      label={label}
      selected={big ? undefined : selected}
      onPick={big ? undefined : select}
      tint={!big && room.tint ? room.tint(props) : lit}
      include={include}
      focus={focus}
      legend={
        big ? undefined : (
          <>
            {lies && <Over lies={lies} face={face} />}
            {room.legend}
          </>
        )
      }
      quiet={big || room.quiet}
    >
      {(p) => (
        <>
          {lies && <BenchLayer board={board} lies={lies} p={p} quiet={big} />}
          <OtherBlocks job={job} here={here} p={p} />
          <SeatLayer here={here} p={p} block={!!room.block?.fill && !big} />
          {block && room.block && !big && <BlockLayer block={block} placement={placement} p={p} {...room.block} />}
          {big && s.step && <StepPlaces step={s.step} here={here} p={p} />}
          {room.Overlay && <room.Overlay {...props} p={p} top={top} big={big} />}
          {!big &&
            job.photos
              .filter((x) => x.xMm != null && x.face === face)
              .map((x) => <PhotoPin key={x.id} x={p.x(x.xMm!)} y={p.y(x.yMm!)} id={x.id} by={x.by} face={face} />)}
        </>
      )}
    </Mat>
  )
}

/** A photo pinned to its place: opens it. */
const PhotoPin = ({ x, y, id, by }: { x: number; y: number; id: number; by: string; face: Face }) => (
  <a href={`/api/photos/${id}`} target="_blank" rel="noreferrer" aria-label={`Photo ${id} by ${by}`}>
    <g transform={`translate(${x} ${y - 12})`}>
      <rect x={-11} y={-8} width={22} height={16} rx={2} fill="var(--raised)" stroke="var(--ink)" strokeWidth={1.6} />
      <circle r={4.5} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
    </g>
  </a>
)
