import { useParams } from '../app/router'
import { PrintPage, usePrinterScale } from '../ui/PrintPage'

/** Labels on paper, true size: the drawer's, or a job's ticket and tray bags. */
export function LabelPage() {
  const { what, id } = useParams()
  const scale = usePrinterScale()
  const ofJob = what === 'job'
  return (
    <PrintPage
      title={ofJob ? `Ticket and bags of job ${id}` : 'Labels of the drawer'}
      back={ofJob ? `/job/${id}/teardown` : '/drawer'}
      backText={ofJob ? 'Back to the job' : 'Back to the drawer'}
    >
      <img
        src={ofJob ? `/api/labels/job.svg?id=${id}&scale=${scale}` : `/api/labels/drawer.svg?scale=${scale}`}
        alt="Labels with their codes"
        style={{ maxWidth: 'none' }}
      />
    </PrintPage>
  )
}
