import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http } from '../../api/client'
import { useCaliper } from '../../api/instruments'
import { Button } from '../../ui/Button'
import { fixed } from '../../ui/format'
import { Section } from '../Ledger'
import type { RoomProps } from '../room'

/** Unmarked jet plates told apart by what the caliper reads. */
export function JetPlate({ job, here }: RoomProps) {
  const [text, setText] = useState('')
  const [waits, setWaits] = useState(false)
  useCaliper(waits, (r) => {
    setText(fixed(r.mm, 2))
    setWaits(false)
  })
  const mm = Number(text.replace(',', '.'))
  const told = useQuery({
    queryKey: ['jet-plate', job.id, job.version, here.pairKey, mm],
    enabled: text.trim() !== '' && mm > 0,
    queryFn: () =>
      answer(
        http.GET('/api/jobs/{id}/jet-plate', {
          params: { path: { id: job.id }, query: { mm, pair: here.pairKey } },
        }),
      ),
  })
  if (here.seat?.fit?.jetPlateMm == null) return null
  return (
    <Section title="Which jet plate is it">
      <div className="flex items-end gap-2">
        <label className="text-[14px] text-soft">
          thickness, mm
          <input
            value={text}
            inputMode="decimal"
            onChange={(e) => setText(e.target.value)}
            className="mt-0.5 block w-24 border border-rule bg-raised px-2 py-1.5 text-[18px] text-ink"
          />
        </label>
        <Button aria-pressed={waits} onClick={() => setWaits(!waits)}>
          {waits ? 'Waits for the caliper' : 'Take it from the caliper'}
        </Button>
      </div>
      {told.error && <p className="mt-1 text-plum">{(told.error as Error).message}</p>}
      {told.data && (
        <p
          role="status"
          className={`mt-1.5 text-[17px] font-bold leading-tight ${told.data.right ? 'text-cool' : 'text-plum'}`}
        >
          {told.data.text}
        </p>
      )}
    </Section>
  )
}
