import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { useJob } from '../../api/queries'
import { ErrorNotice, Loading } from '../../ui/Notice'

/** The cutting sheets at true size, with a bar to check the print and a place to correct it. */
export function CuttingSheet() {
  const id = Number(useParams().id)
  const job = useJob(id)
  const [bar, setBar] = useState('50')
  if (job.error) return <ErrorNotice error={job.error} again={() => job.refetch()} />
  if (!job.data) return <Loading what="the cutting sheets" />
  const measured = Number(bar.replace(',', '.'))
  const scale = measured > 45.5 && measured < 55 ? 50 / measured : 1
  const sheets = job.data.plan.cutting?.sheets ?? []
  return (
    <main className="h-full overflow-auto p-6 print:p-0">
      <header className="no-print mb-4 flex flex-wrap items-end gap-6">
        <div><Link to={`/job/${id}/pads`} className="text-copper underline">Back to the pads</Link><h1 className="text-[25px] font-bold">Cutting sheets, job {id}</h1></div>
        <label className="text-[15px]">The 50 mm bar measures on paper, mm
          <input value={bar} onChange={(e) => setBar(e.target.value)} inputMode="decimal" className="num ml-2 w-20 border border-rule bg-raised px-2 py-1 text-[18px]" />
        </label>
        <button type="button" className="rounded-[3px] bg-copper px-4 py-2 font-bold text-on-copper" onClick={() => window.print()}>Print at 100 %</button>
        {scale !== 1 && <p className="text-amber">Corrected by {((scale - 1) * 100).toFixed(1)} %.</p>}
      </header>
      {sheets.length === 0 && <p>No pads to cut in this job.</p>}
      <div className="flex flex-wrap gap-6 print:block">
        {sheets.map((s, i) => (
          <section key={i} className="break-inside-avoid break-after-page border border-rule bg-white p-3 text-[#1d2a2e] print:border-0 print:p-0">
            <h2 className="text-[16px] font-bold">{i + 1}. {s.offcut ? 'Offcut' : 'Sheet'} {s.stockId}, {s.widthMm} × {s.depthMm} mm</h2>
            <img src={`/api/jobs/${id}/cutting/${i + 1}.svg?scale=${scale}&v=${job.data.version}`} alt={`Cutting sheet ${i + 1}: ${s.placements.length} pieces`} />
            <ol className="num columns-2 text-[15px]">
              {s.cuts.map((c) => <li key={c.order}>{c.order}. along {c.axis} = {c.atMm.toFixed(1)}, {c.fromMm.toFixed(1)} to {c.toMm.toFixed(1)}</li>)}
            </ol>
          </section>
        ))}
      </div>
    </main>
  )
}
