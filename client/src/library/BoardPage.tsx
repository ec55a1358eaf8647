import { useState } from 'react'
import { answer, type Face, http } from '../api/client'
import { useBlock, useBoard, useMatch } from '../api/queries'
import { useKeys } from '../app/keys'
import { useNavigate } from '../app/router'
import { useInitials } from '../app/settings'
import { BlockLayer } from '../mat/BlockLayer'
import { Mat } from '../mat/Mat'
import { placed } from '../mat/place'
import { Head, Row, Section, Why } from '../stations/Ledger'
import { FitOverlay } from '../stations/match/MatchOverlay'
import { Button } from '../ui/Button'
import { mm } from '../ui/format'
import { ErrorNotice, Loading } from '../ui/Notice'
import { VerdictMark, verdictColour, verdictWords } from '../ui/Verdict'
import { BlockList, useNarrowed } from './BlockList'
import { Comparison } from './Comparison'
import { DocumentSection } from './DocumentSection'
import { Begin } from './edit/Begin'
import { SaveAs } from './exchange/SaveAs'
import { LastTime } from './LastTime'
import { Pictures } from './Pictures'
import { PlanB } from './PlanB'

/** A board drawn, with every block judged against it; the chosen one is laid over it. */
export function BoardPage({ id }: { id: string }) {
  const board = useBoard(id)
  const n = useNarrowed(id)
  const matches = n.list.data?.entries
  const [chosen, choose] = useState<string>()
  const [face, setFace] = useState<Face>('front')
  const [selected, select] = useState<string>()
  const [compared, setCompared] = useState<string[]>([])
  const [comparing, setComparing] = useState(false)
  const [initials] = useInitials()
  const go = useNavigate()
  const blockId = chosen ?? matches?.[0]?.blockId
  const block = useBlock(blockId).data
  const fit = useMatch(id, blockId).data
  const flip = () => setFace(face === 'front' ? 'back' : 'front')
  useKeys({ f: flip })
  if (board.error) return <ErrorNotice error={board.error} again={() => board.refetch()} />
  if (!board.data) return <Loading what="the board" />
  const b = board.data
  const top = Math.max(...(b.outline as number[][]).map((p) => p[1]))
  const part = b.parts.find((x) => x.id === selected)
  const tint = Object.fromEntries([
    ...(fit?.uncovered ?? []).map((x) => [x, 'amber' as const]),
    ...(fit?.clashes ?? []).map((x) => [x.part, 'plum' as const]),
  ])
  const openJob = async () => {
    const made = await answer(
      http.POST('/api/jobs', {
        body: {
          title: `${b.model}${block ? `, ${block.model}` : ''}`,
          bench: 'Bench A',
          boardId: b.id,
          blockId,
          by: initials,
        },
      }),
    )
    go(`/job/${made.id}/match`)
  }
  return (
    <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_332px]">
      {comparing ? (
        <Comparison
          boardId={id}
          blockIds={compared}
          onClose={() => setComparing(false)}
          onTake={(x) => {
            choose(x)
            setComparing(false)
          }}
        />
      ) : (
        <div className="flex min-h-0">
          <Mat
            board={b}
            face={face}
            onFlip={flip}
            label={`${b.model} drawn`}
            selected={selected}
            onPick={select}
            tint={tint}
            include={block && fit ? block.plates.flatMap((p) => placed(fit.placement, p.outline as number[][])) : []}
            legend={<span>{block ? `${block.model} laid over` : 'bare board'}</span>}
          >
            {(p) =>
              block &&
              fit && (
                <>
                  <BlockLayer block={block} placement={fit.placement} p={p} fill />
                  <FitOverlay board={b} block={block} fit={fit} p={p} top={top} />
                </>
              )
            }
          </Mat>
        </div>
      )}
      <aside
        className="scroll-thin min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-3.5"
        aria-label="Ledger"
        tabIndex={0}
      >
        <Head
          sub={`${b.maker}, board ${b.boardCode} ${b.revision}. ${b.holes.length} holes, ${b.parts.length} parts${b.positionSigmaMm > 0 ? `, positions ±${mm(3 * b.positionSigmaMm)} mm` : ''}.`}
        >
          {b.model}
        </Head>
        <div className="mt-2 flex flex-wrap gap-2">
          <Button kind="go" onClick={openJob}>
            Open a job{block ? ' with this block' : ''}
          </Button>
          <Begin what="boards" id={b.id} of="block" />
        </div>
        <LastTime document={b.id} title="What was done on this board" most={2} />
        <SaveAs what="boards" id={b.id} forms={['csv', 'emn', 'emp', 'svg', 'dxf']} />
        {part && (
          <Section title={`Part ${part.id}`}>
            <Row name={part.kind.replace('-', ' ')} value={`${part.widthMm} × ${part.depthMm}`} unit="mm" />
            <Row
              name="height"
              value={part.heightMm == null ? 'not known yet' : `${part.heightMm} ± ${part.heightTolMm}`}
              unit="mm"
            />
            {part.dissipationW > 0 && <Row name="heat" value={part.dissipationW} unit="W" />}
          </Section>
        )}
        {fit && (
          <Section title="Chosen block">
            <p className={`flex items-center gap-2 text-[20px] font-bold ${verdictColour[fit.verdict]}`}>
              <VerdictMark verdict={fit.verdict} />
              {verdictWords[fit.verdict]}
            </p>
            {fit.reasons.map((r) => (
              <Why key={r.text}>{r.text}</Why>
            ))}
            {blockId && fit.verdict !== 'seats' && (
              <a
                href={`/api/match/${id}/${blockId}/question.html`}
                target="_blank"
                rel="noreferrer"
                className="text-copper underline underline-offset-3"
              >
                A sheet to ask the maker
              </a>
            )}
          </Section>
        )}
        {matches && !n.narrowed && !matches.some((m) => m.verdict === 'seats' && m.kind !== 'core-only') && (
          <PlanB boardId={id} />
        )}
        <BlockList
          n={n}
          blockId={blockId}
          compared={compared}
          setCompared={setCompared}
          onChoose={(x) => {
            choose(x)
            setComparing(false)
          }}
          onCompare={() => setComparing(true)}
        />
        <Pictures what="boards" id={b.id} name={b.model} />
        <DocumentSection what="boards" id={b.id} />
      </aside>
    </div>
  )
}
