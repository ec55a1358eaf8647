import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, type JobView } from '../../api/client'
import { Link } from '../../app/router'
import { Button } from '../../ui/Button'
import type { Here } from '../here'
import { Section } from '../Ledger'

/** A board that went together once is known: kept under a name of its own, it answers for its twins. */
export function SurveyForm({ job, here }: { job: JobView; here: Here }) {
  const client = useQueryClient()
  const [said, setSaid] = useState({
    maker: here.board.maker,
    model: here.board.model,
    boardCode: here.board.boardCode,
    revision: here.board.revision,
  })
  const [kept, setKept] = useState<string>()
  const [fault, setFault] = useState<string>()
  const id = `shop-${job.id}-${said.model}-${said.revision}`.toLowerCase().replace(/[^a-z0-9]+/g, '-')
  const keep = async () => {
    try {
      await answer(http.POST('/api/jobs/{id}/survey', { params: { path: { id: job.id } }, body: { id, ...said } }))
      await client.invalidateQueries({ queryKey: ['boards'] })
      setKept(id)
      setFault(undefined)
    } catch (e) {
      setFault((e as Error).message)
    }
  }
  return (
    <Section title="Keep this board as surveyed by the shop">
      {kept ? (
        <p className="text-cool">
          Kept with evidence grade B.{' '}
          <Link className="text-copper underline" to={`/library/boards/${kept}`}>
            Open it
          </Link>
        </p>
      ) : (
        <>
          <div className="grid grid-cols-2 gap-2">
            {(['maker', 'model', 'boardCode', 'revision'] as const).map((k) => (
              <label key={k} className="block text-[13px] text-soft">
                {k === 'boardCode' ? 'board code' : k}
                <input
                  value={said[k]}
                  onChange={(e) => setSaid({ ...said, [k]: e.target.value })}
                  className="mt-0.5 block w-full border border-rule bg-raised px-2 py-1 text-[16px] text-ink"
                />
              </label>
            ))}
          </div>
          {fault && (
            <p role="alert" className="mt-1 text-[14.5px] text-plum">
              {fault}
            </p>
          )}
          <Button className="mt-2" disabled={Object.values(said).some((v) => !v.trim())} onClick={keep}>
            Keep it in the library
          </Button>
        </>
      )}
    </Section>
  )
}
