import { useBlock, useBoardsFor } from '../api/queries'
import { Link } from '../app/router'
import { Head, Row, Section } from '../stations/Ledger'
import { fixed } from '../ui/format'
import { ErrorNotice, Loading } from '../ui/Notice'
import { VerdictMark, verdictColour, verdictWords } from '../ui/Verdict'
import { BlockDrawing } from './BlockDrawing'
import { DocumentSection } from './DocumentSection'
import { SaveAs } from './exchange/SaveAs'
import { LastTime } from './LastTime'
import { Learned } from './Learned'
import { Pictures } from './Pictures'

/** A block drawn, its kit, and every board it was judged against. */
export function BlockPage({ id }: { id: string }) {
  const block = useBlock(id)
  const matches = useBoardsFor(id)
  if (block.error) return <ErrorNotice error={block.error} again={() => block.refetch()} />
  if (!block.data) return <Loading what="the block" />
  const b = block.data
  return (
    <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_332px]">
      <div className="flex min-h-0">
        <BlockDrawing block={b} />
      </div>
      <aside
        className="scroll-thin min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-3.5"
        aria-label="Ledger"
        tabIndex={0}
      >
        <Head
          sub={`${b.maker}, ${b.kind.replace('-', ' ')}${b.manualRevision ? `, manual revision ${b.manualRevision}` : ''}.`}
        >
          {b.model}
        </Head>
        <SaveAs what="blocks" id={b.id} forms={['svg', 'dxf']} />
        <Pictures what="blocks" id={b.id} name={b.model} />
        <Section title="Boards by verdict">
          {(matches.data ?? []).map((m) => (
            <Link
              key={m.boardId}
              to={`/library/boards/${m.boardId}`}
              className="grid w-full grid-cols-[20px_1fr_auto] items-baseline gap-2 border-b border-rule/60 py-1.5"
            >
              <VerdictMark verdict={m.verdict} />
              <span>
                <b className="leading-tight">{m.boardName}</b>
                <span className={`block text-[13.5px] leading-tight ${verdictColour[m.verdict]}`}>
                  {verdictWords[m.verdict]}: <span className="text-soft">{m.topReason}</span>
                </span>
              </span>
              <span className="num">{m.grade}</span>
            </Link>
          ))}
        </Section>
        <Learned block={id} />
        <LastTime document={id} title="Jobs with this block" most={3} />
        <Section title="In the box">
          {(b.kit?.screws ?? []).map((s, i) => (
            <Row
              key={i}
              name={`screws ${s.thread}${s.lengthMm ? ` × ${s.lengthMm}` : ''}, ${s.driver ?? ''}`}
              value={s.count}
            />
          ))}
          {(b.kit?.pads ?? []).map((p, i) => (
            <Row key={i} name={`pad ${p.thicknessMm} mm ${p.material}, ${p.widthMm} × ${p.depthMm}`} value={p.count} />
          ))}
          {(b.kit?.sinks ?? []).map((p, i) => (
            <Row key={i} name={`sink ${p.widthMm} × ${p.depthMm} × ${p.heightMm}`} value={p.count} />
          ))}
          {!!b.kit?.pasteG && <Row name="paste" value={b.kit.pasteG} unit="g" />}
          {!!b.kit?.plugs && <Row name="port plugs" value={b.kit.plugs} />}
        </Section>
        <Section title="Block">
          {b.coldPlate && <Row name="cold plate" value={b.coldPlate.metal} />}
          {b.heightMm && <Row name="height" value={b.heightMm} unit="mm" />}
          {b.bracketSlots != null && <Row name="bracket" value={b.bracketSlots} unit="slot" />}
          {b.price && <Row name="price" value={fixed(b.price.amount, 2)} unit={b.price.currency} />}
        </Section>
        <DocumentSection what="blocks" id={b.id} />
      </aside>
    </div>
  )
}
