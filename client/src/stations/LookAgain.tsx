import type { JobView, Station } from '../api/client'
import { Button } from '../ui/Button'
import type { Steps } from './useSteps'

/** Signatures that rest on something that changed since: what changed, and where it was signed for a step that is gone. */
export function LookAgain({ job, station, s }: { job: JobView; station: Station; s: Steps }) {
  const mine = s.step ? s.signed.get(s.step.id) : undefined
  const gone = job.gone.filter((g) => g.station === station)
  if (!mine?.lookAgain && gone.length === 0) return null
  return (
    <section aria-label="Look again" className="mb-3 border-l-[6px] border-amber bg-amber-wash px-3 py-2 text-[14.5px]">
      {mine?.lookAgain && (
        <>
          <b>{mine.by} signed this on something else</b>
          {mine.changed.map((t) => (
            <p key={t} className="leading-snug">
              {t}
            </p>
          ))}
          <p className="text-soft">Look at it, then sign it again, or take it back.</p>
        </>
      )}
      {gone.map((g) => (
        <div key={g.stepId} className="mt-1 flex items-start gap-2">
          <p className="flex-1 leading-snug">
            {g.by} signed “{g.title}”. The plan does not have this step any more.
          </p>
          <Button onClick={() => s.takeBack(g.stepId, g.title, [])}>Strike</Button>
        </div>
      ))}
    </section>
  )
}
