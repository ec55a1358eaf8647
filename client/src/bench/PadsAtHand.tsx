import type { JobView, Schemas, WorkStep } from '../api/client'

/** What the hands do next at Pads: one cut, or one film of one piece. */
export interface AtHand {
  sheet?: number
  cut?: Schemas['Cut']
  piece?: Schemas['PadPiece']
  done: string
  say: string
}

/** Where the count stands: which cut to make now, which film to peel. Null where nothing is counted piece by piece. */
export function atHand(job: JobView, step: WorkStep, count: number): AtHand | null {
  const sheet = /^pads\.cut-(\d+)$/.exec(step.id)
  if (sheet) {
    const n = Number(sheet[1])
    const cuts = job.plan.cutting?.sheets[n - 1]?.cuts ?? []
    const cut = cuts[count]
    if (!cut) return { sheet: n, done: step.done, say: 'All cuts made' }
    return {
      sheet: n,
      cut,
      done: `Cut ${cut.order} made`,
      say: `Cut ${cut.order}: along ${cut.axis} = ${cut.atMm.toFixed(1)}, from ${cut.fromMm.toFixed(1)} to ${cut.toMm.toFixed(1)}`,
    }
  }
  if (!step.id.startsWith('pads.lay-')) return null
  const pieces = job.plan.pieces.filter((p) => p.parts.some((x) => step.targets.includes(x)))
  const piece = pieces[Math.floor(count / 2)]
  if (!piece) return { done: step.done, say: 'Every piece laid' }
  return count % 2 === 0
    ? {
        piece,
        done: `${piece.id}: first film off`,
        say: `${piece.id}: peel the film from the face that goes down, lay it on ${piece.parts.join(', ')}`,
      }
    : {
        piece,
        done: `${piece.id}: second film off`,
        say: `${piece.id}: press it down, peel the film from its upper face`,
      }
}

/** The sheet with the cut to make now. */
export function SheetAtHand({ job, hand }: { job: JobView; hand: AtHand }) {
  return (
    <div className="grid min-h-0 flex-1 place-items-center bg-mat p-5">
      <img
        src={`/api/jobs/${job.id}/cutting/${hand.sheet}.svg?cut=${hand.cut?.order ?? 999}&v=${job.version}-${job.sheets.versions['cutting'] ?? 0}`}
        alt={hand.say}
        className="max-h-full w-full bg-white object-contain p-2"
      />
    </div>
  )
}
