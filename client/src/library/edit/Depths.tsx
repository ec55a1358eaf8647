import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { type Block, type Board, fetched, type Schemas, told } from '../../api/client'
import { useCaliper } from '../../api/instruments'
import { useDrawer } from '../../api/queries'
import { Section } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { fixed } from '../../ui/format'
import type { Edit, Editor } from './useEditor'

/** What was read of one land, as typed. */
interface Said {
  gauge?: string
  left?: string
  pad?: string
  material?: string
}
interface Readings {
  dieReading?: string
  lands: Record<string, Said>
}
type Land = Block['plates'][number]['lands'][number]

const cell = 'num w-full border border-rule bg-raised px-1 py-0.5 text-[15.5px] text-ink'
const figure = (t?: string) => (t?.trim() ? Number(t.replace(',', '.')) : undefined)

/** How deep every land lies: by gauge, by impression, by the manual's pads; the steps with what they are good for. */
export function Depths({ editor, block, board }: { editor: Editor; block: Block; board: Board }) {
  const kept = (JSON.parse(editor.text!)['x-depths'] ?? { lands: {} }) as Readings
  const [said, setSaid] = useState<Readings>(kept)
  const [waits, setWaits] = useState<string>()
  const materials = useDrawer().data?.drawer.materials
  const die = board.parts.find((p) => p.kind === 'die' && p.face === 'front')
  const lands = block.plates.flatMap((p, i) => p.lands.map((l, j) => ({ land: l, at: `/plates/${i}/lands/${j}` })))
  const { land: dieLand, at: dieAt } = lands.find(({ land }) => land.through !== 'pad') ?? {}
  const partOf = (l: Land) => board.parts.find((p) => (l.part ? p.id === l.part : p.kind === l.for))
  const readings = lands.flatMap(({ land }) => {
    const s = said.lands[land.id] ?? {}
    const part = partOf(land)
    const [gauge, left, pad, zero] = [figure(s.gauge), figure(s.left), figure(s.pad), figure(said.dieReading)]
    const material = materials?.find((m) => m.id === s.material)
    return [
      ...(gauge !== undefined && zero !== undefined
        ? [{ land: land.id, kind: 'gauge', readingMm: gauge, dieReadingMm: zero }]
        : []),
      ...(left !== undefined && part?.heightMm != null
        ? [{ land: land.id, kind: 'impression', leftMm: left, partHeightMm: part.heightMm }]
        : []),
      ...(pad !== undefined && material && part?.heightMm != null
        ? [
            {
              land: land.id,
              kind: 'manual',
              padMm: pad,
              squashMin: material.squashMin,
              squashMax: material.squashMax,
              partHeightMm: part.heightMm,
            },
          ]
        : []),
    ]
  })
  const asked = JSON.stringify({ dieHeightMm: die?.heightMm, readings })
  const answer = useQuery({
    queryKey: ['depths', asked],
    enabled: readings.length > 0 && die?.heightMm != null,
    retry: false,
    queryFn: () =>
      fetched<Schemas['DepthsAnswer']>('/api/compute/depths', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: asked,
      }),
  })
  const steps = answer.data?.steps ?? []
  useCaliper(!!waits, (r) => {
    const mm = fixed(r.mm, 2)
    const order = ['', ...lands.filter(({ land }) => land !== dieLand).map(({ land }) => land.id)]
    if (waits === 'die') setSaid({ ...said, dieReading: mm })
    else setSaid({ ...said, lands: { ...said.lands, [waits!]: { ...said.lands[waits!], gauge: mm } } })
    // the next land waits by itself: both hands stay at the block
    setWaits(order[order.indexOf(waits === 'die' ? '' : waits!) + 1])
  })
  const say = (land: string, more: Said) =>
    setSaid({ ...said, lands: { ...said.lands, [land]: { ...said.lands[land], ...more } } })
  const take = () =>
    void editor.apply([
      { do: 'set', at: '/x-depths', value: said },
      ...(dieAt
        ? [{ do: 'set' as const, at: `${dieAt}/evidence`, value: said.dieReading ? 'measured' : 'manual' }]
        : []),
      ...steps.flatMap((s): Edit[] => {
        const at = lands.find((l) => l.land.id === s.land)!.at
        return [
          { do: 'set', at: `${at}/stepMm`, value: Number(fixed(s.stepMm, 3)) },
          { do: 'set', at: `${at}/stepTolMm`, value: Number(fixed(s.stepTolMm, 3)) },
          { do: 'set', at: `${at}/evidence`, value: s.evidence },
        ]
      }),
    ])
  if (die?.heightMm == null)
    return (
      <Section title="How deep">
        <p className="text-plum">Nobody has measured the height of this board's die: measure it on the board first.</p>
      </Section>
    )
  return (
    <Section title="How deep">
      <p className="text-[14px] leading-snug text-soft">
        Lay a straight edge over the highest lands and read down to each with a depth gauge; or press a soft pad once at
        home and measure what is left; or take the manual's pad. All in mm.
      </p>
      <label className="mt-1.5 flex items-center gap-2 text-[14px]">
        <span className="flex-1">straight edge to the die land</span>
        <input
          aria-label="reading of the die land"
          value={said.dieReading ?? ''}
          onChange={(e) => setSaid({ ...said, dieReading: e.target.value })}
          className={`${cell} !w-20`}
        />
        <Button kind="quiet" aria-pressed={!!waits} onClick={() => setWaits(waits ? undefined : 'die')}>
          {waits ? `waits: ${waits}` : 'caliper'}
        </Button>
      </label>
      <table className="mt-1.5 w-full text-[13.5px]">
        <thead className="text-left text-soft">
          <tr>
            <th scope="col">land</th>
            <th scope="col">gauge</th>
            <th scope="col">left over</th>
            <th scope="col">pad</th>
            <th scope="col">step</th>
          </tr>
        </thead>
        <tbody>
          {lands
            .filter(({ land }) => land !== dieLand)
            .map(({ land }) => {
              const s = said.lands[land.id] ?? {}
              const step = steps.find((x) => x.land === land.id)
              const input = (what: 'gauge' | 'left' | 'pad', words: string) => (
                <td className="pr-1 align-top">
                  <input
                    aria-label={`${words} of ${land.id}`}
                    value={s[what] ?? ''}
                    onChange={(e) => say(land.id, { [what]: e.target.value })}
                    className={cell}
                  />
                </td>
              )
              return (
                <tr key={land.id} className="border-b border-rule/60">
                  <th scope="row" className="pr-1.5 text-left align-top font-normal whitespace-nowrap">
                    {land.id}
                  </th>
                  {input('gauge', 'gauge reading')}
                  {input('left', 'what is left')}
                  <td className="pr-1 align-top">
                    <input
                      aria-label={`pad by the manual of ${land.id}`}
                      value={s.pad ?? ''}
                      onChange={(e) => say(land.id, { pad: e.target.value })}
                      className={cell}
                    />
                    {s.pad && (
                      <select
                        aria-label={`material of the pad of ${land.id}`}
                        value={s.material ?? ''}
                        onChange={(e) => say(land.id, { material: e.target.value })}
                        className="mt-0.5 w-full border border-rule bg-raised text-[13px]"
                      >
                        <option value="">which</option>
                        {(materials ?? []).map((m) => (
                          <option key={m.id}>{m.id}</option>
                        ))}
                      </select>
                    )}
                  </td>
                  <td className={`num align-top text-[15.5px] ${step?.conflict ? 'text-plum' : ''}`}>
                    {step ? (
                      <>
                        {fixed(step.stepMm, 2)} <span className="text-soft">±{fixed(step.stepTolMm, 2)}</span>
                        {step.conflict && ' two disagree: a third'}
                      </>
                    ) : (
                      <span className="text-soft">
                        {fixed(land.stepMm, 2)} {land.evidence ?? ''}
                      </span>
                    )}
                  </td>
                </tr>
              )
            })}
        </tbody>
      </table>
      {answer.error && <p className="mt-1 text-plum">{told(answer.error)}</p>}
      <Button kind="go" className="mt-2" disabled={steps.length === 0} onClick={take}>
        Take {steps.length} {steps.length === 1 ? 'step' : 'steps'} into the block
      </Button>
    </Section>
  )
}
