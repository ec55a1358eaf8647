import { useNavigate, useParams } from '../app/router'
import { useDay } from '../day/useDay'
import { left } from '../ui/format'
import { useNow } from '../ui/useNow'

/** Where hands came from when they left a wait, kept for as long as the page lives. */
let back: { job: number; to: string } | undefined

/** What to do while a step of this job waits, and the way back: one key goes there, the same key returns.
 * @param waits whether a wait runs at this step */
export function useMeanwhile(jobId: number, stepId: string | undefined, waits: boolean) {
  const day = useDay(waits || (!!back && back.job !== jobId)).data
  const { station } = useParams()
  const go = useNavigate()
  const running = (day?.plan.waits ?? []).filter((w) => w.running)
  const own = running.find((w) => w.job === jobId && w.stepId === stepId)
  const other = own?.meanwhile.find((m) => m.job !== jobId) ?? own?.meanwhile[0]
  const left = back && back.job !== jobId ? running.find((w) => w.job === back?.job) : undefined
  const press = () => {
    if (other) {
      back = { job: jobId, to: `/job/${jobId}/${station}/bench` }
      go(`/job/${other.job}/${other.station}/bench`)
    } else if (back && back.job !== jobId) {
      const { to } = back
      back = undefined
      go(to)
    }
  }
  return { other, left, canReturn: !other && !!back && back.job !== jobId, press }
}

export function MeanwhileLine({ told }: { told: ReturnType<typeof useMeanwhile> }) {
  const now = useNow()
  if (told.other)
    return (
      <button
        type="button"
        onClick={told.press}
        className="min-h-14 max-w-full border-l-[6px] border-copper bg-raised px-4 py-2 text-left text-[22px] leading-tight"
      >
        <span className="text-soft">Meanwhile: </span>
        <b>{told.other.title}</b>
        <span className="block text-[19px] text-soft">
          {told.other.jobTitle}, {told.other.text}
          <kbd className="num ml-3">M</kbd>
        </span>
      </button>
    )
  if (!told.canReturn) return null
  return (
    <button
      type="button"
      onClick={told.press}
      className="min-h-14 border-l-[6px] border-amber bg-raised px-4 py-2 text-left text-[22px] leading-tight"
    >
      {told.left ? (
        <>
          {told.left.label} <b className="num">{left(instant(told.left.endAt), now).text}</b>
        </>
      ) : (
        'The wait is over'
      )}
      <span className="block text-[19px] text-soft">
        back to it<kbd className="num ml-3">M</kbd>
      </span>
    </button>
  )
}

/** A time on the shop's own clock as an instant; the tablet shows the shop's time. */
const instant = (text: string) => new Date(text).toISOString()
