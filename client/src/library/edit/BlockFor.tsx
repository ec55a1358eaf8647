import { useQuery } from '@tanstack/react-query'
import type { Block, FitResult } from '../../api/client'
import { fetched, told } from '../../api/client'
import { useBoards } from '../../api/queries'
import { Section, Why } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { VerdictMark, verdictColour, verdictWords } from '../../ui/Verdict'
import { UndersideDrop } from './UndersideDrop'
import type { Editor } from './useEditor'

/** The board that a block is described for, and what the block as it stands comes to on it. */
export function BlockFor({ editor, block }: { editor: Editor; block: Block }) {
  const boards = useBoards('').data ?? []
  const untried = block.plates.flatMap((p, i) =>
    p.holes.flatMap((h, j) => (h.evidence === 'assumed' ? [`/plates/${i}/holes/${j}/evidence`] : [])),
  )
  const unsprung = block.plates.flatMap((p, i) =>
    p.holes.flatMap((h, j) => (h.springUnknown ? [`/plates/${i}/holes/${j}/springUnknown`] : [])),
  )
  return (
    <Section title="Described for the board">
      <select
        aria-label="board under the block"
        value={editor.under ?? ''}
        onChange={(e) => editor.lay(e.target.value || undefined)}
        className="w-full border border-rule bg-raised px-1 py-1.5 text-[16px]"
      >
        <option value="">none laid under it</option>
        {boards.map((b) => (
          <option key={b.id} value={b.id}>
            {b.maker} {b.model}, {b.label}
          </option>
        ))}
      </select>
      {editor.under && <Verdict text={editor.text!} boardId={editor.under} />}
      <UndersideDrop editor={editor} />
      {unsprung.length > 0 && (
        <Button
          className="mt-1"
          onClick={() => void editor.apply(unsprung.map((at) => ({ do: 'set', at, value: null })))}
        >
          Looked at: they carry no springs
        </Button>
      )}
      {untried.length > 0 && (
        <Button
          className="mt-1"
          onClick={() => void editor.apply(untried.map((at) => ({ do: 'set', at, value: 'measured' })))}
        >
          Tried by hand: all {untried.length} screws line up
        </Button>
      )}
    </Section>
  )
}

/** What the block as it stands comes to on that board, and what to measure first. */
function Verdict({ text, boardId }: { text: string; boardId: string }) {
  const fit = useQuery({
    queryKey: ['draft-fit', boardId, text],
    queryFn: async () =>
      fetched<FitResult>('/api/compute/fit', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: `{"board":${JSON.stringify(await fetched<unknown>(`/api/boards/${boardId}`))},"block":${text}}`,
      }),
    retry: false,
    gcTime: 0,
    placeholderData: (before) => before,
  })
  if (fit.error) return <p className="mt-1.5 text-plum">{told(fit.error)}</p>
  if (!fit.data) return null
  return (
    <>
      <p className={`mt-1.5 flex items-center gap-2 text-[19px] font-bold ${verdictColour[fit.data.verdict]}`}>
        <VerdictMark verdict={fit.data.verdict} />
        {verdictWords[fit.data.verdict]}
      </p>
      {fit.data.reasons.slice(0, 6).map((r) => (
        <Why key={r.text}>{r.text}</Why>
      ))}
    </>
  )
}
