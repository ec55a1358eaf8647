import type { ReactNode } from 'react'
import { Link } from '../app/router'
import { useSetting } from '../app/settings'

/** How much larger everything has to be drawn to come out true, by the bar that was measured on paper. */
export function usePrinterScale() {
  const [bar] = useSetting('bar', '50')
  const measured = Number(bar.replace(',', '.'))
  return measured > 45.5 && measured < 55 ? 50 / measured : 1
}

/** A sheet for the printer, true size, with the way back. */
export const PrintPage = (p: { title: string; back: string; backText: string; children: ReactNode }) => (
  <main className="h-full overflow-auto p-6 print:h-auto print:overflow-visible print:p-0">
    <header className="no-print mb-4 flex items-end gap-6">
      <div>
        <Link to={p.back} className="text-copper underline">
          {p.backText}
        </Link>
        <h1 className="text-[25px] font-bold">{p.title}</h1>
      </div>
      <button
        type="button"
        className="rounded-[3px] bg-copper px-4 py-2 font-bold text-on-copper"
        onClick={() => window.print()}
      >
        Print at 100 %
      </button>
    </header>
    <div className="inline-block bg-white p-2 print:p-0">{p.children}</div>
  </main>
)
