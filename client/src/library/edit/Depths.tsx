import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { type Block, fetched, type Refusal, type Schemas } from '../../api/client'
import { useCaliper } from '../../api/instruments'
import { useDrawer } from '../../api/queries'
import { Section } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { fixed } from '../../ui/format'
import type { Editor } from './useEditor'

const kinds = ['gaugeMm', 'leftMm', 'padMm'] as const
type Reading = (typeof kinds)[number]
/** What was read of one land, as typed; lengths mm. */
type Said = Partial<Record<Reading | 'material', string>>
interface Readings {
  dieReadingMm?: string
  lands: Record<string, Said>
}

const words: Record<Reading, string> = {
  gaugeMm: 'gauge reading',
  leftMm: 'what is left',
  padMm: 'pad by the manual',
}
const cell = 'num w-full border border-rule bg-raised px-1 py-0.5 text-[15.5px] text-ink'
const figure = (t?: string) => (t?.trim() ? Number(t.replace(',', '.')) : null)

/** As typed into what the server takes: figures, nothing where nothing was read. */
const asked = (said: Readings) => ({
  dieReadingMm: figure(said.dieReadingMm),
  lands: Object.fromEntries(
    Object.entries(said.lands)
      .map(([id, s]) => [
        id,
        { ...Object.fromEntries(kinds.map((k) => [k, figure(s[k])])), material: s.material || null },
      ])
      .filter(([, s]) => Object.values(s).some((v) => v !== null)),
  ),
})

/** What the block remembers of readings before. */
const remembered = (text: string): Readings => {
  const kept = JSON.parse(text)['x-depths'] ?? {}
  const typed = (o: object) =>
    Object.fromEntries(
      Object.entries(o)
        .filter(([, v]) => v !== null)
        .map(([k, v]) => [k, String(v)]),
    )
  return {
    dieReadingMm: kept.dieReadingMm == null ? undefined : String(kept.dieReadingMm),
    lands: Object.fromEntries(Object.entries(kept.lands ?? {}).map(([id, s]) => [id, typed(s as object)])),
  }
}

/** How deep every land lies: by gauge, by impression, by the manual's pads; the steps with what they are good for. */
export function Depths({ editor, block, boardId }: { editor: Editor; block: Block; boardId: string }) {
  const [said, setSaid] = useState(() => remembered(editor.text!))
  const [waits, setWaits] = useState<string>()
  const materials = useDrawer().data?.drawer.materials
  const lands = block.plates.flatMap((p) => p.lands.filter((l) => l.through === 'pad'))
  const readings = asked(said)
  const some = readings.dieReadingMm !== null || Object.keys(readings.lands).length > 0
  const body = `{"board":${JSON.stringify(boardId)},"readings":${JSON.stringify(readings)},"document":${editor.text}}`
  const answer = useQuery({
    queryKey: ['depths', body],
    enabled: some,
    retry: false,
    gcTime: 0,
    placeholderData: (before) => before,
    queryFn: () =>
      fetched<Schemas['LandDepthsAnswer']>('/api/library/depths', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body,
      }),
  })
  const faults = (answer.error as Refusal | null)?.errors ?? []
  const steps = some && !answer.error ? (answer.data?.steps ?? []) : []
  const say = (land: string, more: Said) =>
    setSaid({ ...said, lands: { ...said.lands, [land]: { ...said.lands[land], ...more } } })
  useCaliper(!!waits, (r) => {
    const mm = fixed(r.mm, 2)
    if (waits === 'die') setSaid({ ...said, dieReadingMm: mm })
    else say(waits!, { gaugeMm: mm })
    // the next land waits by itself: both hands stay at the block
    const order = ['die', ...lands.map((l) => l.id)]
    setWaits(order[order.indexOf(waits!) + 1])
  })
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
          value={said.dieReadingMm ?? ''}
          onChange={(e) => setSaid({ ...said, dieReadingMm: e.target.value })}
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
          {lands.map((land) => {
            const s = said.lands[land.id] ?? {}
            const step = steps.find((x) => x.land === land.id)
            return (
              <tr key={land.id} className="border-b border-rule/60">
                <th scope="row" className="pr-1.5 text-left align-top font-normal whitespace-nowrap">
                  {land.id}
                </th>
                {kinds.map((k) => (
                  <td key={k} className="pr-1 align-top">
                    <input
                      aria-label={`${words[k]} of ${land.id}`}
                      value={s[k] ?? ''}
                      onChange={(e) => say(land.id, { [k]: e.target.value })}
                      className={cell}
                    />
                    {k === 'padMm' && s.padMm && (
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
                ))}
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
      {answer.error && (
        <p role="alert" className="mt-1 text-plum">
          {faults.length > 0
            ? faults.map((f) => `${f.pointer.split('/')[3] ?? ''} ${f.message}`.trim()).join(' ')
            : answer.error.message}
        </p>
      )}
      <Button
        kind="go"
        className="mt-2"
        disabled={steps.length === 0 || answer.isPlaceholderData}
        onClick={() => answer.data && editor.take(answer.data.document, answer.data.checked)}
      >
        Take {steps.length} {steps.length === 1 ? 'step' : 'steps'} into the block
      </Button>
    </Section>
  )
}
