import type { Schemas } from '../../api/client'
import { day } from '../../ui/format'

/** Where a figure comes from: loud where nobody measured it, else as far as somebody said. */
export function SourceMark({ source }: { source?: Schemas['FigureSource'] | null }) {
  if (!source) return null
  if (source.kind === 'simulated') return <b className="border-2 border-plum px-1 text-[13px] text-plum">simulated</b>
  const said = [
    source.instrument,
    source.kind === 'file' && `file ${source.file ?? ''}`.trim(),
    source.checkedOn && `checked ${day(source.checkedOn)}`,
  ].filter(Boolean)
  return said.length === 0 ? null : <span className="text-[13px] text-soft">{said.join(', ')}</span>
}
