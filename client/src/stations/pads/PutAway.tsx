import type { JobView } from '../../api/client'
import { Button } from '../../ui/Button'
import type { Steps } from '../useSteps'

/** Once a sheet is cut its useful rests go into the drawer with one press. */
export function PutAway({ job, s, sheet, rests }: { job: JobView; s: Steps; sheet: number; rests: number }) {
  const step = s.steps.find((x) => x.kind === 'cut' && x.sheet === sheet)
  if (!step || !s.signed.has(step.id)) return null
  if (job.sheets.cutting?.putAway.includes(sheet))
    return (
      <p className="text-[13.5px] text-cool">
        {rests === 0 ? 'taken off the drawer' : `${rests} ${rests === 1 ? 'offcut lies' : 'offcuts lie'} in the drawer`}
      </p>
    )
  return (
    <Button
      className="my-1"
      kind="go"
      disabled={s.changes.putAway.isPending}
      onClick={() => s.changes.putAway.mutate({ sheet, by: s.by }, { onError: s.refuse })}
    >
      {rests === 0
        ? 'Take the sheet off the drawer'
        : `Put ${rests} ${rests === 1 ? 'offcut' : 'offcuts'} in the drawer`}
    </Button>
  )
}
