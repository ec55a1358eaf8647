import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, type Schemas } from '../../api/client'
import { useBlock, useBoard } from '../../api/queries'
import { Head, Row, Section, Why } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { fixed, mm } from '../../ui/format'
import { ErrorNotice, Loading } from '../../ui/Notice'
import { VerdictMark, verdictColour, verdictWords } from '../../ui/Verdict'
import { DocumentSection } from '../DocumentSection'
import { Sections } from './Sections'
import { SocketDrawing } from './SocketDrawing'

/** Does this block go on this socket with this processor, and what would a bare die give. */
export function SocketPage({ id }: { id: string }) {
  const socket = useQuery({
    queryKey: ['socket', id],
    queryFn: () => answer(http.GET('/api/sockets/{id}', { params: { path: { id } } })),
  })
  const ways = useQuery({
    queryKey: ['socket-ways', id],
    queryFn: () => answer(http.GET('/api/sockets/{id}/ways', { params: { path: { id } } })),
  }).data
  const [picked, pick] = useState<{ processor?: string; block?: string; board?: string }>({})
  const [turned, turn] = useState<number>()
  const [bare, setBare] = useState(false)
  const processorId = picked.processor ?? ways?.processors[0]?.id
  const blockId = picked.block ?? ways?.blocks[0]?.id
  const boardId = picked.board ?? ways?.mainboards[0]?.id
  const processor = useBoard(processorId).data
  const block = useBlock(blockId).data
  const ready = !!processorId && !!blockId
  const match = useQuery({
    queryKey: ['socket-match', id, processorId, blockId, boardId],
    enabled: ready,
    queryFn: () =>
      answer(
        http.GET('/api/sockets/{id}/match', {
          params: { path: { id }, query: { processor: processorId!, block: blockId!, board: boardId } },
        }),
      ),
  })
  const direct = useQuery({
    queryKey: ['direct-die', id, processorId, blockId],
    enabled: ready && bare,
    retry: false,
    queryFn: () =>
      answer(
        http.GET('/api/sockets/{id}/direct-die', {
          params: { path: { id }, query: { processor: processorId!, block: blockId! } },
        }),
      ),
  })
  if (socket.error) return <ErrorNotice error={socket.error} again={() => socket.refetch()} />
  if (!socket.data) return <Loading what="the socket" />
  const s = socket.data
  const m = match.data
  const rotation = turned ?? m?.orientations.find((o) => o.best)?.rotationDeg ?? m?.orientations[0]?.rotationDeg ?? 0
  const way = m?.orientations.find((o) => o.rotationDeg === rotation)
  const select = (
    name: string,
    list: { id: string; name: string }[],
    value: string | undefined,
    key: keyof typeof picked,
  ) => (
    <label className="block text-[14px] text-soft">
      {name}
      <select
        className="mt-0.5 block w-full border border-rule bg-raised px-2 py-1.5 text-[16px] text-ink"
        value={value ?? ''}
        onChange={(e) => {
          pick({ ...picked, [key]: e.target.value })
          turn(undefined)
        }}
      >
        {list.map((x) => (
          <option key={x.id} value={x.id}>
            {x.name}
          </option>
        ))}
      </select>
    </label>
  )
  return (
    <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_332px]">
      <div className="flex min-h-0 flex-col">
        <SocketDrawing
          socket={s}
          processor={processor}
          block={block}
          rotationDeg={rotation}
          springs={way?.springs}
          bare={bare}
        />
        <div
          className="flex flex-wrap items-center gap-2 border-t border-rule bg-card px-4 py-2.5"
          aria-label="Turns"
          role="group"
        >
          {(m?.orientations ?? []).map((o) => (
            <Button
              key={o.rotationDeg}
              kind={o.rotationDeg === rotation ? 'go' : 'plain'}
              aria-pressed={o.rotationDeg === rotation}
              onClick={() => turn(o.rotationDeg)}
            >
              {o.rotationDeg}°{o.best ? ', cools best' : ''}
              {o.clashes.length > 0 ? ', meets something' : ''}
            </Button>
          ))}
          <span className="flex-1" />
          <Button aria-pressed={bare} kind={bare ? 'go' : 'plain'} onClick={() => setBare(!bare)}>
            {bare ? 'With its lid' : 'Bare die'}
          </Button>
        </div>
      </div>
      <aside
        className="scroll-thin min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-3.5"
        aria-label="Ledger"
        tabIndex={0}
      >
        <Head
          sub={`Posts ${s.posts === 'captive' ? 'captive, into the frame' : 'on a plate behind the board'}; contacts want ${s.contactMinN} to ${s.contactMaxN} N.`}
        >
          Socket {s.name}
        </Head>
        <div className="grid gap-2">
          {select('Processor', ways?.processors ?? [], processorId, 'processor')}
          {select('Block', ways?.blocks ?? [], blockId, 'block')}
          {(ways?.mainboards.length ?? 0) > 0 && select('Mainboard', ways!.mainboards, boardId, 'board')}
        </div>
        {match.error && <p className="mt-3 text-plum">{(match.error as Error).message}</p>}
        {m && !bare && (
          <>
            <p className={`mt-3 flex items-center gap-2 text-[21px] font-bold ${verdictColour[m.verdict]}`}>
              <VerdictMark verdict={m.verdict} />
              {verdictWords[m.verdict]}
            </p>
            {m.kit && <p className="text-[15.5px]">Needs {m.kit}.</p>}
            {m.reasons.map((r) => (
              <Why key={r.code + r.text}>{r.text}</Why>
            ))}
            <Section title="Heights above the mainboard">
              <Row name="contact" value={mm(m.contactMm)} unit="mm" />
              <Row name="block at home" value={mm(m.homeMm)} unit="mm" />
              {m.stopGapMm != null && <Row name="room over the stops" value={mm(m.stopGapMm)} unit="mm" />}
              {m.shimMm > 0 && <Row name="washers under the springs" value={mm(m.shimMm)} unit="mm" />}
            </Section>
            <Section title="Loads">
              <Row name="on the lid" value={m.loadN.toFixed(0)} unit="N" />
              <Row name="on the contacts, clamp and all" value={m.socketLoadN.toFixed(0)} unit="N" />
              <Row name="highest pressure" value={fixed(m.peakMPa, 2)} unit="MPa" />
            </Section>
            <Section title={`Turned ${rotation}°`}>
              {way?.ports.map((p) => (
                <Row
                  key={p.id}
                  name={`port ${p.id}`}
                  value={p.facingDeg == null ? 'away from the board' : `${p.facingDeg}°`}
                />
              ))}
              {way?.clashes.map((c) => (
                <Row key={c.part} name={`meets ${c.part} by`} value={mm(-c.marginMm)} unit="mm" tone="text-plum" />
              ))}
              {way && (
                <Why tone={way.allowed ? undefined : 'text-plum'}>
                  {way.allowed
                    ? 'Nothing is in the way.'
                    : way.slitAcrossFins
                      ? 'Not this way round.'
                      : "The jet's slit lies along the fins."}
                </Why>
              )}
            </Section>
          </>
        )}
        {bare && direct.error && <p className="mt-3 text-plum">{(direct.error as Error).message}</p>}
        {bare && direct.data && <BareDie data={direct.data} />}
        <DocumentSection what="sockets" id={id} />
      </aside>
    </div>
  )
}

function BareDie({ data }: { data: Schemas['DieDecision'] }) {
  const a = data.answer
  return (
    <>
      <p className="mt-3 text-[25px] font-bold">
        {a.gainK.toFixed(0)} K cooler
        <span className="block text-[15px] font-normal text-soft">
          {a.gainLowK.toFixed(0)} to {a.gainHighK.toFixed(0)} K at {data.powerW.toFixed(0)} W and {data.flowLPerMin}{' '}
          L/min; {a.hottest} is the hottest.
          {a.moreW != null && ` Or ${a.moreW.toFixed(0)} W more at the same temperature.`}
        </span>
      </p>
      <p className={`mt-1 flex items-center gap-2 font-bold ${verdictColour[a.verdict]}`}>
        <VerdictMark verdict={a.verdict} />
        {verdictWords[a.verdict]}
      </p>
      {a.refusals.map((r) => (
        <Why key={r.code} tone="text-plum">
          {r.text}
        </Why>
      ))}
      {a.warnings.map((r) => (
        <Why key={r.code + r.text}>{r.text}</Why>
      ))}
      <Section title="Heights above the mainboard, mm">
        <Sections lidded={a.lidded} direct={a.direct} />
      </Section>
      <Section title="Each die">
        {a.dies.map((d) => (
          <Row
            key={d.part}
            name={`${d.part}${d.lifts ? ', lifts' : ''}`}
            value={`${d.loadN.toFixed(0)} N, ${fixed(d.minMPa, 2)}–${fixed(d.peakMPa, 2)}`}
            unit="MPa"
            tone={d.lifts ? 'text-plum' : undefined}
          />
        ))}
        <Row name="on the contacts, frame and all" value={a.direct.socketLoadN.toFixed(0)} unit="N" />
      </Section>
    </>
  )
}
