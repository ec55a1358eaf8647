import type { Schemas } from '../../api/client'
import { useJob } from '../../api/queries'
import { useParams } from '../../app/router'
import { ErrorNotice, Loading } from '../../ui/Notice'
import { PrintPage, usePrinterScale } from '../../ui/PrintPage'

/** The tray as it lies beside the board; the cell of the step lit. */
export function TrayMap({ tray, lit, big }: { tray: Schemas['TrayCell'][]; lit?: string[]; big?: boolean }) {
  return (
    <div className={`grid gap-1.5 ${big ? 'grid-cols-4' : 'grid-cols-2'}`} role="group" aria-label="Tray">
      {tray.map((c) => {
        const here = c.fasteners.some((f) => lit?.includes(f))
        return (
          <div
            key={c.cell}
            aria-current={here ? 'true' : undefined}
            className={`border px-2 py-1 ${here ? 'border-2 border-copper bg-copper-wash' : 'border-rule bg-card'}`}
          >
            <b className="num text-[20px]">{c.cell}</b>{' '}
            <span className="num text-[17px]">
              {c.count} × {c.thread ?? ''}
              {c.lengthMm ? ` × ${c.lengthMm}` : ''}
            </span>
            {!big && (
              <span className="block text-[13px] text-soft">
                {c.driver}, group {c.fasteners.join(', ')}
              </span>
            )}
          </div>
        )
      })}
    </div>
  )
}

/** The tray map on paper, true size. */
export function TrayPage() {
  const id = Number(useParams().id)
  const job = useJob(id)
  const scale = usePrinterScale()
  if (job.error) return <ErrorNotice error={job.error} again={() => job.refetch()} />
  if (!job.data) return <Loading what="the tray map" />
  return (
    <PrintPage title={`Tray map, job ${id}`} back={`/job/${id}/teardown`} backText="Back to the teardown">
      <img
        src={`/api/jobs/${id}/tray.svg?scale=${scale}&v=${job.data.version}-${job.data.sheets.versions.assembly ?? 0}`}
        alt={`Tray map: ${job.data.plan.teardown.boards.reduce((n, b) => n + b.plan.tray.length, 0)} cells`}
        style={{ maxWidth: 'none' }}
      />
    </PrintPage>
  )
}
