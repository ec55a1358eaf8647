import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, type Schemas } from '../api/client'
import { Link } from '../app/router'
import { Section } from '../stations/Ledger'
import { Button } from '../ui/Button'
import { VerdictMark, verdictColour, verdictWords } from '../ui/Verdict'

const number = (t: string) => {
  const v = Number(t.replace(',', '.'))
  return t.trim() && Number.isFinite(v) && v >= 0 ? v : undefined
}

/** Every block judged against a board; words and figures narrow it while they are typed. */
export function useNarrowed(boardId: string) {
  const [text, setText] = useState('')
  const [clearance, setClearance] = useState('')
  const query = { text: text.trim() || undefined, clearanceMm: number(clearance) }
  const list = useQuery({
    queryKey: ['match', 'board', boardId, query],
    queryFn: () => answer(http.GET('/api/boards/{id}/blocks', { params: { path: { id: boardId }, query } })),
    placeholderData: keepPreviousData,
  })
  return { list, text, setText, clearance, setClearance, narrowed: !!query.text || query.clearanceMm !== undefined }
}

export function BlockList({
  n,
  blockId,
  compared,
  setCompared,
  onChoose,
  onCompare,
}: {
  n: ReturnType<typeof useNarrowed>
  blockId?: string
  compared: string[]
  setCompared: (ids: string[]) => void
  onChoose: (id: string) => void
  onCompare: () => void
}) {
  const list = n.list.data
  const look = 'border border-rule bg-raised px-2 py-1.5'
  const words: [Schemas['Verdict'], string][] = [
    ['seats', 'seat'],
    ['seats-with-work', 'with work'],
    ['unproven', 'unproven'],
    ['clashes', 'clash'],
  ]
  return (
    <Section title="Blocks by verdict, least change first">
      <div className="flex gap-2">
        <input
          value={n.text}
          onChange={(e) => n.setText(e.target.value)}
          placeholder="maker, model, kind"
          aria-label="Narrow the blocks"
          className={`min-w-0 flex-1 ${look}`}
        />
        <label className="flex items-center gap-1 text-[13px] text-soft">
          room
          <input
            value={n.clearance}
            onChange={(e) => n.setClearance(e.target.value)}
            placeholder="0.3"
            inputMode="decimal"
            aria-label="Least clear height, mm"
            className={`num w-14 text-ink ${look}`}
          />
          mm
        </label>
      </div>
      {list && (
        <p className="num mt-1 text-[15px] text-soft" aria-live="polite">
          {list.judged} judged:{' '}
          {words
            .filter(([v]) => (list.counts[v] ?? 0) > 0)
            .map(([v, w]) => `${list.counts[v]} ${w}`)
            .join(', ')}
        </p>
      )}
      <div className="mb-1 mt-1 flex items-center gap-3">
        <p className="flex-1 text-[13.5px] text-soft">Tick up to three to see them side by side.</p>
        <Button kind={compared.length > 1 ? 'go' : 'plain'} disabled={compared.length < 2} onClick={onCompare}>
          Compare {compared.length || ''}
        </Button>
      </div>
      {(list?.entries ?? []).map((m) => (
        <div
          key={m.blockId}
          className={`flex items-start gap-2 border-b border-rule/60 ${m.blockId === blockId ? 'bg-copper-wash' : ''}`}
        >
          <input
            type="checkbox"
            aria-label={`Compare ${m.blockName}`}
            className="mt-2.5 size-5 accent-copper"
            checked={compared.includes(m.blockId)}
            disabled={!compared.includes(m.blockId) && compared.length >= 3}
            onChange={(e) =>
              setCompared(e.target.checked ? [...compared, m.blockId] : compared.filter((x) => x !== m.blockId))
            }
          />
          <button
            type="button"
            aria-pressed={m.blockId === blockId}
            onClick={() => onChoose(m.blockId)}
            className="grid min-w-0 flex-1 grid-cols-[20px_1fr_auto] items-baseline gap-2 py-1.5 text-left"
          >
            <VerdictMark verdict={m.verdict} />
            <span>
              <b>{m.blockName}</b>
              <span className={`block text-[13.5px] leading-tight ${verdictColour[m.verdict]}`}>
                {verdictWords[m.verdict]}: <span className="text-soft">{m.topReason}</span>
              </span>
            </span>
            <span className="num text-[16px]">{m.grade}</span>
          </button>
        </div>
      ))}
      {list && list.judged > list.entries.length && (
        <p className="mt-1 text-[13.5px] text-soft">The first {list.entries.length} are shown. Type to narrow them.</p>
      )}
      {list?.judged === 0 && (
        <p className="text-soft">
          {n.narrowed ? (
            'No block by those words. Type fewer.'
          ) : (
            <>
              No blocks in the library.{' '}
              <Link to="/library" className="text-copper underline">
                Drop a block file.
              </Link>
            </>
          )}
        </p>
      )}
    </Section>
  )
}
