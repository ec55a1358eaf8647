import type { JobView } from '../../api/client'
import { useJob } from '../../api/queries'
import { Link, useParams } from '../../app/router'
import { useSetting } from '../../app/settings'
import { Button } from '../../ui/Button'
import { fixed } from '../../ui/format'
import { ErrorNotice, Loading } from '../../ui/Notice'
import { useSteps } from '../useSteps'
import { PutAway } from './PutAway'

/** The cutting sheets at true size, with a bar to check the print and a place to correct it. */
export function CuttingSheet() {
  const id = Number(useParams().id)
  const job = useJob(id)
  if (job.error) return <ErrorNotice error={job.error} again={() => job.refetch()} />
  if (!job.data) return <Loading what="the cutting sheets" />
  return <Sheets job={job.data} />
}

function Sheets({ job }: { job: JobView }) {
  const s = useSteps(job, 'pads')
  const [bar, setBar] = useSetting('bar', '50')
  const [paper, setPaper] = useSetting('paper', 'A4')
  const measured = Number(bar.replace(',', '.'))
  const sane = measured > 45.5 && measured < 55
  const scale = sane ? 50 / measured : 1
  const sheets = job.plan.pads.cutting?.sheets ?? []
  return (
    <main className="h-full overflow-auto p-6 print:h-auto print:overflow-visible print:p-0">
      <style>{`@media print { @page { size: ${paper === 'Letter' ? '8.5in 11in' : 'A4'}; margin: 10mm } }`}</style>
      <header className="no-print mb-4 flex flex-wrap items-end gap-6">
        <div>
          <Link to={`/job/${job.id}/pads`} className="text-copper underline">
            Back to the pads
          </Link>
          <h1 className="text-[25px] font-bold">Cutting sheets, job {job.id}</h1>
        </div>
        <label className="text-[15px]">
          paper
          <select
            aria-label="Paper"
            value={paper}
            onChange={(e) => setPaper(e.target.value)}
            className="ml-2 border border-rule bg-raised px-2 py-1.5 text-[16px]"
          >
            <option>A4</option>
            <option>Letter</option>
          </select>
        </label>
        <label className="text-[15px]">
          The 50 mm bar measures on paper, mm
          <input
            value={bar}
            onChange={(e) => setBar(e.target.value)}
            inputMode="decimal"
            className="num ml-2 w-20 border border-rule bg-raised px-2 py-1 text-[18px]"
          />
        </label>
        <button
          type="button"
          className="rounded-[3px] bg-copper px-4 py-2 font-bold text-on-copper"
          onClick={() => window.print()}
        >
          Print at 100 %
        </button>
        {scale !== 1 && (
          <p className="text-amber">Corrected by {fixed((scale - 1) * 100, 1)} %. Kept for this printer.</p>
        )}
        {!sane && (
          <p role="alert" className="text-plum">
            A bar of {bar} mm is no printer’s error: print at 100 % and measure again.
          </p>
        )}
      </header>
      {s.refusal && (
        <p role="alert" className="no-print mb-3 border-l-4 border-plum pl-3 text-plum">
          {s.refusal.message}
        </p>
      )}
      {sheets.length === 0 && <p>No pads to cut in this job.</p>}
      <div className="flex flex-wrap gap-6 print:block">
        {sheets.map((x, i) => (
          <section
            key={i}
            className="break-inside-avoid border border-rule bg-white p-3 text-[#1d2a2e] not-last:break-after-page print:border-0 print:p-0"
          >
            <h2 className="text-[16px] font-bold">
              {i + 1}. {x.offcut ? 'Offcut' : 'Sheet'} {x.stockId}, {x.widthMm} × {x.depthMm} mm
              {x.material ? `, ${x.thicknessMm} mm ${x.material}` : ''}
            </h2>
            <img
              src={`/api/jobs/${job.id}/cutting/${i + 1}.svg?scale=${scale}&v=${job.version}-${job.sheets.versions.cutting ?? 0}`}
              alt={`Cutting sheet ${i + 1}: ${x.placements.length} pieces`}
              style={{ maxWidth: 'none' }}
            />
            <ol className="num columns-2 text-[15px]">
              {x.cuts.map((c) => (
                <li key={c.order}>
                  {c.order}. along {c.axis} = {fixed(c.atMm, 1)}, {fixed(c.fromMm, 1)} to {fixed(c.toMm, 1)}
                </li>
              ))}
            </ol>
            <p className="no-print mt-2 flex items-center gap-4 text-[15px]">
              <span>
                For a cutter:{' '}
                <a
                  className="text-[#a8572b] underline"
                  href={`/api/jobs/${job.id}/cutting/${i + 1}.svg`}
                  download={`job-${job.id}-sheet-${i + 1}.svg`}
                >
                  SVG
                </a>
                ,{' '}
                <a className="text-[#a8572b] underline" href={`/api/jobs/${job.id}/cutting/${i + 1}.dxf`} download>
                  DXF
                </a>
              </span>
              <PutAway job={job} s={s} sheet={i + 1} rests={x.restsWorthKeeping} />
            </p>
          </section>
        ))}
      </div>
      {sheets.length > 0 && (
        <div className="no-print mt-4">
          <Link to={`/job/${job.id}/pads/bench`} className="inline-block">
            <Button kind="plain" tabIndex={-1}>
              Cut at the bench, cut by cut
            </Button>
          </Link>
        </div>
      )}
    </main>
  )
}
