import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, type Schemas } from '../../api/client'
import { Button } from '../../ui/Button'
import { fixed } from '../../ui/format'
import { ErrorNotice, Loading } from '../../ui/Notice'
import { asked } from '../here'
import type { RoomProps } from '../room'

type Check = Schemas['TrainingCheck']

const another = () => Math.floor(Math.random() * 1e6)

/** A bench with one thing wrong: what was read beside what was expected, and as few looks as possible. */
export function Trainer({ job, here, onClose }: Pick<RoomProps, 'job' | 'here'> & { onClose: () => void }) {
  const [seed, setSeed] = useState(another)
  const [checks, setChecks] = useState<Check[]>([])
  const [giveUp, setGiveUp] = useState(false)
  const [two, setTwo] = useState(false)
  const [kind, setKind] = useState('')
  const [part, setPart] = useState('')
  const bench = useQuery({
    queryKey: ['trainer', job.id, here.pairKey, here.boardKey, seed, checks, giveUp, two],
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: () =>
      answer(
        http.POST('/api/jobs/{id}/trainer', {
          params: { path: { id: job.id }, query: asked(here) },
          body: { seed, checks, giveUp, two },
        }),
      ),
  })
  if (bench.error) return <ErrorNotice error={bench.error} again={() => bench.refetch()} />
  const b = bench.data
  if (!b) return <Loading what="a bench" />
  const choice = b.choices.find((c) => c.kind === kind)
  const over = b.solved || b.truth != null
  const afresh = () => {
    setSeed(another())
    setChecks([])
    setGiveUp(false)
    setKind('')
    setPart('')
  }
  const worst = Math.max(1, ...b.readings.map((r) => Math.abs(r.c - r.expectedC)))
  return (
    <div className="scroll-thin min-h-0 flex-1 overflow-y-auto bg-card p-5">
      <h2 className="mb-2 text-[21px] font-bold leading-tight" aria-live="polite">
        {b.text}
      </h2>
      <div className="mb-3 flex flex-wrap gap-3">
        <Button
          onClick={() => {
            setTwo(false)
            afresh()
          }}
        >
          Another bench
        </Button>
        <Button
          onClick={() => {
            setTwo(true)
            afresh()
          }}
        >
          With two faults
        </Button>
        <Button onClick={onClose}>Back to the mat</Button>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(260px,320px)] gap-6">
        <table className="w-full self-start">
          <thead>
            <tr className="text-left text-[14px] text-soft">
              <th className="font-normal">part</th>
              <th className="font-normal">expected</th>
              <th className="font-normal">read</th>
              <th className="w-[38%] font-normal">warmer by</th>
            </tr>
          </thead>
          <tbody>
            {b.readings.map((r) => {
              const off = r.c - r.expectedC
              return (
                <tr key={r.name} className="border-t border-rule/60">
                  <th scope="row" className="py-0.5 text-left text-[15px]">
                    {r.name}
                  </th>
                  <td className="num text-[17px] text-cool">{fixed(r.expectedC, 1)}</td>
                  <td className="num text-[17px] font-semibold">{fixed(r.c, 1)}</td>
                  <td className="num whitespace-nowrap text-[15px]">
                    <span
                      className={`mr-2 inline-block h-3 align-middle ${off > 0 ? 'bg-plum' : 'bg-cool'}`}
                      style={{ width: `${(Math.abs(off) / worst) * 62}%` }}
                    />
                    {off > 0 ? '+' : '−'}
                    {fixed(Math.abs(off), 1)} K
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
        <div>
          <fieldset disabled={over} className="grid gap-2">
            <legend className="mb-1 font-bold text-copper">Look for</legend>
            <select
              aria-label="What to look for"
              value={kind}
              className="min-h-11 border border-rule bg-raised px-2"
              onChange={(e) => {
                setKind(e.target.value)
                setPart('')
              }}
            >
              <option value="">choose</option>
              {b.choices.map((c) => (
                <option key={c.kind} value={c.kind}>
                  {c.name}
                </option>
              ))}
            </select>
            {choice && choice.parts.length > 0 && (
              <select
                aria-label="Where"
                value={part}
                className="min-h-11 border border-rule bg-raised px-2"
                onChange={(e) => setPart(e.target.value)}
              >
                <option value="">where</option>
                {choice.parts.map((p) => (
                  <option key={p}>{p}</option>
                ))}
              </select>
            )}
            <div className="flex gap-2">
              <Button
                kind="go"
                disabled={!choice || (choice.parts.length > 0 && !part)}
                onClick={() => setChecks([...checks, { kind: choice!.kind, part: part || null }])}
              >
                Look
              </Button>
              <Button onClick={() => setGiveUp(true)}>Give up</Button>
            </div>
          </fieldset>
          <ol className="mt-3" aria-label="Looks">
            {b.answers.map((a, i) => (
              <li key={i} className={`border-t border-rule/60 py-1 ${a.found ? 'font-bold text-cool' : ''}`}>
                <span className="num mr-2 text-soft">{i + 1}</span>
                {a.text}
              </li>
            ))}
          </ol>
        </div>
      </div>
    </div>
  )
}
