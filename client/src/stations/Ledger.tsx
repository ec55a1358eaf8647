import type { ReactNode } from 'react'
import { figures } from '../ui/figures'
import { inInches } from '../ui/format'

export const Head = ({ children, tone, sub }: { children: ReactNode; tone?: string; sub?: ReactNode }) => (
  <header className="mb-1">
    <h2 className={`text-[25px] font-bold leading-[1.1] first-letter:uppercase ${tone ?? ''}`}>{children}</h2>
    {sub && <p className="mt-1 text-[14px] leading-snug text-soft">{sub}</p>}
  </header>
)

export const Section = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="mt-3 border-t border-rule pt-2.5">
    <h3 className="mb-1 text-[13px] font-semibold text-soft">{title}</h3>
    {children}
  </section>
)

/** One reason, a sentence with its figures. */
export const Why = ({ children, tone }: { children: ReactNode; tone?: string }) => (
  <p
    className={`my-1 pl-3.5 -indent-3.5 text-[14.5px] leading-snug before:content-['–_'] before:text-copper ${tone ?? ''}`}
  >
    {children}
  </p>
)

/** A figure with its name, figures in one column. */
export const Row = ({
  name,
  value,
  unit,
  tone,
}: {
  name: ReactNode
  value: ReactNode
  unit?: string
  tone?: string
}) => (
  <div className={`flex items-baseline gap-2 border-b border-rule/60 py-[3px] ${tone ?? ''}`}>
    <span className="min-w-0 flex-1 text-[14.5px]">{name}</span>
    <span className="num text-right text-[17px]">{value}</span>
    {unit !== undefined && <span className="num w-9 text-[15px] text-soft">{unit}</span>}
    {unit === 'mm' && figures.inches && <span className="num text-[15px] text-soft">{inInches(value)} in</span>}
  </div>
)
