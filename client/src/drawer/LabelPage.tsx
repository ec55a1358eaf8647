import { Link, useParams } from '../app/router'
import { useSetting } from '../app/settings'

/** Labels on paper, true size: the drawer's, or a job's ticket and tray bags. */
export function LabelPage() {
  const { what, id } = useParams()
  const [bar] = useSetting('bar', '50')
  const measured = Number(bar.replace(',', '.'))
  const scale = measured > 45.5 && measured < 55 ? 50 / measured : 1
  const source =
    what === 'job' ? `/api/labels/job.svg?id=${id}&scale=${scale}` : `/api/labels/drawer.svg?scale=${scale}`
  return (
    <main className="h-full overflow-auto p-6 print:h-auto print:overflow-visible print:p-0">
      <header className="no-print mb-4 flex items-end gap-6">
        <div>
          <Link to={what === 'job' ? `/job/${id}/teardown` : '/drawer'} className="text-copper underline">
            {what === 'job' ? 'Back to the job' : 'Back to the drawer'}
          </Link>
          <h1 className="text-[25px] font-bold">
            {what === 'job' ? `Ticket and bags of job ${id}` : 'Labels of the drawer'}
          </h1>
        </div>
        <button
          type="button"
          className="rounded-[3px] bg-copper px-4 py-2 font-bold text-on-copper"
          onClick={() => window.print()}
        >
          Print at 100 %
        </button>
      </header>
      <div className="inline-block bg-white print:p-0">
        <img src={source} alt="Labels with their codes" style={{ maxWidth: 'none' }} />
      </div>
    </main>
  )
}
