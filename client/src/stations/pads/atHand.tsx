import { fixed } from '../../ui/format'
import type { AtHand, RoomProps } from '../room'
import type { Slice } from './room'

/** Where the count stands: which cut to make now, which film to peel. Null where nothing is counted piece by piece. */
export function atHand({ job, s }: RoomProps<Slice>, count: number): AtHand | null {
  const step = s.step
  if (step?.kind === 'cut' && step.sheet != null) {
    const cut = job.plan.pads.cutting?.sheets[step.sheet - 1]?.cuts[count]
    const say = cut
      ? `Cut ${cut.order}: along ${cut.axis} = ${fixed(cut.atMm, 1)}, from ${fixed(cut.fromMm, 1)} to ${fixed(cut.toMm, 1)}`
      : 'All cuts made'
    const drawn = `/api/jobs/${job.id}/cutting/${step.sheet}.svg?cut=${cut?.order ?? 999}&v=${job.version}-${job.sheets.versions.cutting ?? 0}`
    return {
      say,
      done: cut ? `Cut ${cut.order} made` : step.done,
      picture: (
        <div className="grid min-h-0 flex-1 place-items-center bg-mat p-5">
          <img src={drawn} alt={say} className="max-h-full w-full bg-white object-contain p-2" />
        </div>
      ),
    }
  }
  if (step?.kind !== 'lay' || step.pieces.length === 0 || step.count == null) return null
  // films are counted evenly over the pieces, the lower one first
  const films = step.count / step.pieces.length
  const piece = job.plan.pads.pieces.find((x) => x.id === step.pieces[Math.floor(count / films)])
  if (!piece) return { done: step.done, say: 'Every piece laid' }
  return count % films === 0
    ? {
        parts: piece.parts,
        done: `${piece.id}: first film off`,
        say: `${piece.id}: peel the film from the face that goes down, lay it on ${piece.where ? `the ${piece.where}` : piece.parts.join(', ')}`,
      }
    : {
        parts: piece.parts,
        done: `${piece.id}: second film off`,
        say: `${piece.id}: press it down, peel the film from its upper face`,
      }
}
