import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useMemo, useState } from 'react'
import { answer, asJson, fetched, http, type Schemas } from '../../api/client'
import { useBoard } from '../../api/queries'
import { Link, useHandedOver } from '../../app/router'
import { Mat } from '../../mat/Mat'
import { placed } from '../../mat/place'
import { Head, Section, Why } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { fixed } from '../../ui/format'
import { ErrorNotice } from '../../ui/Notice'
import { readPoints, type Seen } from './points'

/** Whose twin is it: what was seen of a bare board against every surveyed board. */
export function TwinPage() {
  const given = useHandedOver<{ points?: string }>()?.points
  const [text, setText] = useState(given ?? '')
  const [sigma, setSigma] = useState('0.1')
  const [chosen, choose] = useState<string>()
  const [read, fault] = useMemo(() => readPoints(text), [text])
  const search = useMutation({
    mutationFn: (b: { seen: Seen; sigmaMm: number }) =>
      fetched<Schemas['IdentifyResult']>(
        '/api/compute/identify',
        asJson(JSON.stringify({ ...b.seen, sigmaMm: b.sigmaMm })),
      ),
  })
  const ask = () => search.mutate({ seen: read, sigmaMm: Number(sigma) || 0.1 })
  // biome-ignore lint/correctness/useExhaustiveDependencies: what came along is searched for once
  useEffect(() => {
    if (given) ask()
  }, [])
  const found = search.data
  const shown = found?.candidates.find((c) => c.boardId === chosen) ?? found?.candidates[0]
  const under = (shown?.differencesUnderBlock ?? []).filter((d) => d.code !== 'not-seen')
  const unseen = (shown?.differencesUnderBlock ?? []).filter((d) => d.code === 'not-seen')
  const board = useBoard(shown?.boardId).data
  const load = async (files: FileList | null) => {
    if (!files?.length) return
    const form = new FormData()
    for (const f of files) form.append('files', f)
    const response = await fetch('/api/compute/read-layout', { method: 'POST', body: form })
    const body = await response.json()
    if (!response.ok) {
      setText(`# ${(body as { errors: { message: string }[] }).errors.map((e) => e.message).join('\n# ')}`)
      return
    }
    const l = body as Schemas['LayoutResult']
    setText(
      [
        ...l.holes.map((h) => `hole ${h.x} ${h.y} ${h.diameterMm ?? ''}`),
        ...l.parts.filter((p) => p.face === 'front').map((p) => `part ${p.x} ${p.y} ${p.heightMm ?? ''} ${p.id}`),
      ].join('\n'),
    )
  }
  const count = read.holes.length + read.parts.length
  return (
    <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_356px]">
      <div className="flex min-h-0">
        {board && shown ? (
          <Mat
            board={board}
            face="front"
            label={`${board.model} with what was seen`}
            legend={
              <>
                <span>
                  <Ring /> met
                </span>
                <span>
                  <Cross /> not there
                </span>
                <span>
                  <Miss /> not seen
                </span>
              </>
            }
          >
            {(p) => (
              <g>
                {[...read.holes, ...read.parts].map((s, i) => {
                  const [[x, y]] = placed(shown.placement, [[s.x, s.y]])
                  const extra = [...shown.differencesUnderBlock, ...shown.otherDifferences].some(
                    (d) => d.code === 'extra' && Math.hypot(d.atMm[0] - x, d.atMm[1] - y) < 0.01,
                  )
                  return extra ? (
                    <path
                      key={i}
                      d={`M${p.x(x) - 7} ${p.y(y) - 7}l14 14m0 -14l-14 14`}
                      stroke="var(--plum)"
                      strokeWidth={3}
                    />
                  ) : (
                    <circle key={i} cx={p.x(x)} cy={p.y(y)} r={7} fill="none" stroke="var(--cool)" strokeWidth={2.6} />
                  )
                })}
                {[...shown.differencesUnderBlock, ...shown.otherDifferences]
                  .filter((d) => d.code !== 'extra')
                  .map((d, i) => (
                    <rect
                      key={i}
                      x={p.x(d.atMm[0]) - 9}
                      y={p.y(d.atMm[1]) - 9}
                      width={18}
                      height={18}
                      fill="none"
                      stroke={d.code === 'not-seen' ? 'var(--soft)' : 'var(--plum)'}
                      strokeWidth={2.4}
                      strokeDasharray={d.code === 'not-seen' ? '4 3' : undefined}
                    />
                  ))}
              </g>
            )}
          </Mat>
        ) : (
          <div className="grid flex-1 place-items-center bg-mat p-10">
            <div className="max-w-lg text-center">
              <p className={`text-[24px] font-bold ${found ? 'text-plum' : ''}`}>
                {found ? 'None is close' : 'Identify a board'}
              </p>
              <p className="mt-2 text-[16px] text-soft">
                {found
                  ? found.text
                  : 'Measure the holes and parts of the bare board in any frame, with a caliper or from a photo. Missing points and a few wrong ones do no harm.'}
              </p>
            </div>
          </div>
        )}
      </div>
      <aside
        className="scroll-thin min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-3.5"
        aria-label="Ledger"
        tabIndex={0}
      >
        {found && found.candidates.length > 0 ? (
          <Head tone={found.candidates[0].chance > 0.95 ? 'text-cool' : 'text-amber'} sub={found.text}>
            {board ? `${board.model} ${board.revision}`.replace(' none', '') : '…'},{' '}
            {Math.round(Math.min(shown!.chance, 0.999) * 1000) / 10} %
          </Head>
        ) : (
          <Head sub="One line a hole or part, in mm.">{count} points seen</Head>
        )}
        {search.error && <ErrorNotice error={search.error} />}
        {found && found.candidates.length > 0 && shown && (
          <>
            {found.candidates.length > 1 && (
              <Section title="Candidates">
                {found.candidates.map((c) => (
                  <button
                    key={c.boardId}
                    type="button"
                    aria-pressed={c === shown}
                    onClick={() => choose(c.boardId)}
                    className={`grid w-full grid-cols-[1fr_auto] border-b border-rule/60 py-1.5 text-left ${c === shown ? 'bg-copper-wash' : ''}`}
                  >
                    <b>{c.boardId}</b>
                    <span className="num text-[17px]">{fixed(c.chance * 100, c.chance > 0.0995 ? 0 : 1)} %</span>
                    <span className="text-[13.5px] text-soft">
                      {c.met} of {c.seen} meet, {c.differencesUnderBlock.filter((d) => d.code !== 'not-seen').length}{' '}
                      differ under the block
                    </span>
                  </button>
                ))}
              </Section>
            )}
            <Section title={`Under the block, ${under.length} ${under.length === 1 ? 'difference' : 'differences'}`}>
              {under.length === 0 && (
                <p className="text-[15px] text-cool">Nothing seen differs where a block touches or passes.</p>
              )}
              {under.slice(0, 30).map((d) => (
                <Why key={d.text} tone="text-plum">
                  {d.text}
                </Why>
              ))}
              {unseen.length > 0 && (
                <p className="mt-1.5 text-[14px] leading-snug text-soft">
                  Not seen, so not compared: {unseen.flatMap((d) => d.refs).join(', ')}. Measure those near your block's
                  pockets.
                </p>
              )}
            </Section>
            {shown.otherDifferences.some((d) => d.code !== 'not-seen') && (
              <Section title="Elsewhere, does not matter to a block">
                {shown.otherDifferences
                  .filter((d) => d.code !== 'not-seen')
                  .slice(0, 10)
                  .map((d) => (
                    <Why key={d.text}>{d.text}</Why>
                  ))}
              </Section>
            )}
            {shown.twins.length > 0 && (
              <Section title="Same under the block">
                <p className="text-[15px]">{shown.twins.join(', ')}</p>
              </Section>
            )}
            <p className="mt-3">
              <Link className="text-copper underline underline-offset-3" to={`/library/boards/${shown.boardId}`}>
                Blocks for this board
              </Link>
            </p>
          </>
        )}
        <Section title="Inspection results">
          <label className="sr-only" htmlFor="seen">
            Holes and parts
          </label>
          <textarea
            id="seen"
            value={text}
            onChange={(e) => setText(e.target.value)}
            spellCheck={false}
            rows={10}
            placeholder={'hole 10.2 4.0 2.8\nhole 68.1 4.1 2.8\npart 39.0 33.2 2.1 die\npart x y height kind'}
            className="num w-full border border-rule bg-raised p-2 text-[16px]"
          />
          {fault && <p className="text-[14px] text-plum">{fault}</p>}
          <div className="mt-1 flex flex-wrap items-center gap-3">
            <Button kind="go" disabled={count < 3 || !!fault || search.isPending} onClick={ask}>
              {search.isPending ? 'Searching…' : 'Find its twin'}
            </Button>
            <label className="text-[14px]">
              each ±{' '}
              <input
                value={sigma}
                onChange={(e) => setSigma(e.target.value)}
                inputMode="decimal"
                className="num w-14 border border-rule bg-raised px-1.5 py-1 text-[16px]"
                aria-label="Standard deviation of a position, mm"
              />{' '}
              mm
            </label>
            <label className="cursor-pointer text-copper underline underline-offset-3 focus-within:outline-3">
              from a layout file
              <input
                type="file"
                multiple
                className="sr-only"
                onChange={(e) => {
                  void load(e.target.files)
                  e.target.value = ''
                }}
              />
            </label>
          </div>
        </Section>
        <IndexLine />
      </aside>
    </div>
  )
}

/** What the search runs over. */
function IndexLine() {
  const client = useQueryClient()
  const index = useQuery({ queryKey: ['twins'], queryFn: () => answer(http.GET('/api/twins')) }).data
  const rebuild = useMutation({
    mutationFn: () => answer(http.POST('/api/twins/rebuild')),
    onSuccess: () => client.invalidateQueries({ queryKey: ['twins'] }),
  })
  if (!index) return null
  return (
    <p className="mt-4 border-t border-rule pt-2 text-[13.5px] text-soft">
      Searched: {index.boards} boards, index {fixed(index.megabytes, 1)} MB.{' '}
      <button type="button" className="text-copper underline underline-offset-3" onClick={() => rebuild.mutate()}>
        {rebuild.isPending ? 'Rebuilding…' : 'Rebuild'}
      </button>
    </p>
  )
}

const Ring = () => (
  <svg width="16" height="16" className="mr-1 inline align-[-3px]" aria-hidden>
    <circle cx="8" cy="8" r="6" fill="none" stroke="var(--cool)" strokeWidth="2.4" />
  </svg>
)
const Cross = () => (
  <svg width="16" height="16" className="mr-1 inline align-[-3px]" aria-hidden>
    <path d="M3 3l10 10m0 -10l-10 10" stroke="var(--plum)" strokeWidth="2.6" />
  </svg>
)
const Miss = () => (
  <svg width="16" height="16" className="mr-1 inline align-[-3px]" aria-hidden>
    <rect x="2" y="2" width="12" height="12" fill="none" stroke="var(--soft)" strokeWidth="2" strokeDasharray="3 2" />
  </svg>
)
