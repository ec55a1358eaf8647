import { useQueryClient } from '@tanstack/react-query'
import { type ReactNode, useEffect, useRef, useState } from 'react'
import { answer, http, ifMatch, type Schemas } from '../api/client'
import { useDrawer } from '../api/queries'
import { useInitials } from '../app/settings'
import { Button } from '../ui/Button'
import { FileButton } from '../ui/FileButton'
import { fixed } from '../ui/format'
import { ErrorNotice, Loading } from '../ui/Notice'
import { ArchivedLines } from './ArchivedLines'
import { ItemDialog, type Kind } from './ItemDialog'
import { TableIntake } from './TableIntake'

/** What the shop holds, with what runs short; amounts are changed where they stand. */
export function Drawer() {
  const drawer = useDrawer()
  const client = useQueryClient()
  const [by] = useInitials()
  const [fault, setFault] = useState<string>()
  const [open, setOpen] = useState<{ kind: Kind; id?: string }>()
  const [table, setTable] = useState<File>()
  const looked = new URLSearchParams(window.location.search).get('item') ?? undefined
  if (drawer.error && !drawer.data) return <ErrorNotice error={drawer.error} again={() => drawer.refetch()} />
  if (!drawer.data) return <Loading what="the drawer" />
  const { drawer: d, versions } = drawer.data
  const put = async <T extends { id: string }>(kind: Kind, item: T) => {
    const version = versions.find((v) => v.kind === kind && v.id === item.id)?.version ?? 0
    try {
      setFault(undefined)
      await answer(
        http.PUT('/api/drawer/{kind}/{id}', {
          params: { path: { kind, id: item.id }, query: { by: by || undefined } },
          headers: ifMatch(version),
          body: item,
        }),
      )
    } catch (e) {
      setFault((e as Error).message)
    }
    await client.invalidateQueries()
  }
  const lists = {
    pad: d.pads,
    paste: d.pastes,
    screw: d.screws,
    tool: d.tools,
    consumable: d.consumables,
    material: d.materials,
  }
  const line = (kind: Kind, id: string, words: ReactNode) => (
    <Line lit={looked === `${kind}/${id}`} onOpen={() => setOpen({ kind, id })}>
      {words}
    </Line>
  )
  const add = (kind: Kind, word: string) => (
    <Button kind="quiet" onClick={() => setOpen({ kind })}>
      Add {word}
    </Button>
  )
  const link = 'flex min-h-9 items-center rounded-[3px] border border-rule bg-raised px-3 py-1.5'
  const card = 'bg-card p-4 shadow-[inset_0_0_0_1px_var(--rule)]'
  return (
    <main className="scroll-thin min-h-0 overflow-y-auto bg-mat px-6 py-5" tabIndex={0} aria-label="Drawer">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-[26px] font-bold">Drawer</h1>
        <FileButton accept=".csv,.tsv,.xlsx" onFile={setTable}>
          Take in a table
        </FileButton>
        <a className={link} href="/api/drawer/table" download="drawer.csv">
          Save as a table, to count
        </a>
        <a className={link} href="/labels/drawer">
          Labels
        </a>
      </div>
      {open && (
        <ItemDialog
          key={`${open.kind}/${open.id}`}
          kind={open.kind}
          item={open.id ? ((lists[open.kind] as { id: string }[]).find((x) => x.id === open.id) ?? null) : null}
          version={versions.find((v) => v.kind === open.kind && v.id === open.id)?.version ?? 0}
          onClose={() => setOpen(undefined)}
        />
      )}
      {table && <TableIntake key={table.name + table.lastModified} file={table} onClose={() => setTable(undefined)} />}
      {fault && (
        <p role="alert" className="mb-3 border-l-4 border-plum bg-card px-3 py-2 text-plum">
          {fault}
        </p>
      )}
      <div className="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-4">
        <section className={card}>
          <Title more={add('pad', 'a pad')}>Pads and offcuts</Title>
          <Table head={['material', 'mm', 'size, mm', '', 'count']}>
            {[...d.pads]
              .sort(
                (a, b) =>
                  a.material.localeCompare(b.material) ||
                  a.thicknessMm - b.thicknessMm ||
                  Number(a.offcut) - Number(b.offcut),
              )
              .map((p) => (
                <tr key={p.id} className="border-b border-rule/60">
                  <td className="py-1">{line('pad', p.id, p.material)}</td>
                  <td className="num text-right text-[17px]">{fixed(p.thicknessMm, 1)}</td>
                  <td className="num text-right text-[17px]">
                    {p.widthMm} × {p.depthMm}
                  </td>
                  <td className="pl-3 text-soft">{p.offcut ? 'offcut' : 'sheet'}</td>
                  <td className="text-right">
                    <Amount name={p.id} value={p.count} onChange={(count) => put('pad', { ...p, count })} />
                  </td>
                </tr>
              ))}
          </Table>
        </section>
        <section className={card}>
          <Title more={add('paste', 'a tube')}>Paste</Title>
          <Table head={['tube', 'W/(m·K)', 'months', 'grams']}>
            {d.pastes.map((p) => (
              <tr key={p.id} className={`border-b border-rule/60 ${p.gramsLeft < 1 ? 'text-plum' : ''}`}>
                <td className="py-1">
                  {line('paste', p.id, p.material.id)}
                  <span className="block text-[13px] text-soft">
                    {p.id}
                    {p.useBy ? `, good until ${p.useBy}` : ''}
                    {p.gramsLeft < 1 ? ', runs short' : ''}
                  </span>
                </td>
                <td className="num text-right text-[17px]">{p.material.conductivityWPerMK}</td>
                <td className="num text-right text-[17px]">{p.monthsToRepaste}</td>
                <td className="text-right">
                  <Amount
                    name={p.id}
                    step={0.5}
                    value={p.gramsLeft}
                    onChange={(gramsLeft) => put('paste', { ...p, gramsLeft } as Schemas['PasteStock'])}
                  />
                </td>
              </tr>
            ))}
          </Table>
        </section>
        <section className={card}>
          <Title more={add('consumable', 'one')}>Consumables</Title>
          <Table head={['item', 'low at', 'amount']}>
            {d.consumables.map((c) => (
              <tr key={c.id} className={`border-b border-rule/60 ${c.amount < c.lowAt ? 'text-plum' : ''}`}>
                <td className="py-1">
                  {line('consumable', c.id, c.name)}
                  {c.amount < c.lowAt && <b>, runs short</b>}
                  {c.waitS && <span className="text-soft">, waits {c.waitS} s</span>}
                </td>
                <td className="num text-right text-[17px]">
                  {c.lowAt} {c.unit}
                </td>
                <td className="text-right">
                  <Amount
                    name={c.name}
                    step={c.amount > 50 ? 10 : 1}
                    value={c.amount}
                    onChange={(amount) => put('consumable', { ...c, amount })}
                  />
                </td>
              </tr>
            ))}
          </Table>
        </section>
        <section className={card}>
          <Title
            more={
              <span className="flex gap-3">
                {add('screw', 'screws')}
                {add('tool', 'a tool')}
              </span>
            }
          >
            Screws and tools
          </Title>
          <Table head={['screw', 'count']}>
            {d.screws.map((x) => (
              <tr key={x.id} className="border-b border-rule/60">
                <td className="num py-1 text-[17px]">{line('screw', x.id, `${x.thread} × ${x.lengthMm}`)}</td>
                <td className="text-right">
                  <Amount name={x.id} value={x.count} onChange={(count) => put('screw', { ...x, count })} />
                </td>
              </tr>
            ))}
          </Table>
          <p className="mt-3 flex flex-wrap gap-x-4 text-[17px]">
            {d.tools.map((t) => (
              <span key={t.id}>{line('tool', t.id, t.name)}</span>
            ))}
          </p>
        </section>
        <section className={`${card} col-span-2`}>
          <Title more={add('material', 'a material')}>Pad materials</Title>
          <Table
            head={[
              'material',
              'claimed, W/(m·K)',
              'calculated with',
              'squash it works in, %',
              'thickness, ± mm',
              'at 30 % it pushes fresh, relaxed, MPa',
            ]}
          >
            {d.materials.map((m) => (
              <tr key={m.id} className="border-b border-rule/60">
                <td className="py-1">{line('material', m.id, m.id)}</td>
                <td className="num text-right text-[17px]">{m.claimedWPerMK ?? '–'}</td>
                <td className="num text-right text-[17px]">{m.conductivityWPerMK ?? '–'}</td>
                <td className="num text-right text-[17px]">
                  {Math.round(m.squashMin * 100)}–{Math.round(m.squashMax * 100)}
                </td>
                <td className="num text-right text-[17px]">{m.thicknessTolMm}</td>
                <td className="num text-right text-[17px]">
                  {fixed((m.freshCurve as number[][] | undefined)?.find((c) => c[0] >= 0.3)?.[1], 2) ?? '–'},{' '}
                  {fixed((m.curve as number[][]).find((c) => c[0] >= 0.3)?.[1], 2) ?? '–'}
                </td>
              </tr>
            ))}
          </Table>
        </section>
      </div>
      <ArchivedLines />
    </main>
  )
}

const Title = ({ children, more }: { children: ReactNode; more?: ReactNode }) => (
  <div className="mb-1 flex items-baseline justify-between gap-3">
    <h2 className="text-[18px] font-bold">{children}</h2>
    {more}
  </div>
)

/** A line's name opens it; the one whose label was scanned is lit. */
function Line({ lit, onOpen, children }: { lit: boolean; onOpen: () => void; children: ReactNode }) {
  const here = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    if (lit) here.current?.scrollIntoView({ block: 'center' })
  }, [lit])
  return (
    <button
      type="button"
      ref={here}
      aria-current={lit ? 'true' : undefined}
      onClick={onOpen}
      className={`min-h-6 min-w-6 text-left underline decoration-rule underline-offset-3 ${
        lit ? 'bg-copper-wash outline-2 outline-copper' : ''
      }`}
    >
      {children}
    </button>
  )
}

const Table = ({ head, children }: { head: string[]; children: ReactNode }) => (
  <table className="w-full text-[15px]">
    <thead className="text-[13px] text-soft">
      <tr>
        {head.map((h, i) => (
          <th key={h + i} scope="col" className={`font-normal ${i === 0 ? 'text-left' : 'text-right'}`}>
            {h}
          </th>
        ))}
      </tr>
    </thead>
    <tbody>{children}</tbody>
  </table>
)

function Amount({
  name,
  value,
  step = 1,
  onChange,
}: {
  name: string
  value: number
  step?: number
  onChange: (v: number) => void
}) {
  const press = 'min-h-8 min-w-8 border border-rule bg-raised'
  const round = (v: number) => Math.max(0, Math.round(v * 100) / 100)
  const typed = (field: HTMLInputElement) => {
    const v = Number(field.value.replace(',', '.'))
    if (field.value.trim() === '' || !Number.isFinite(v)) field.value = String(value)
    else if (round(v) !== value) onChange(round(v))
  }
  return (
    <span className="inline-flex items-center">
      <button type="button" aria-label={`Less ${name}`} className={press} onClick={() => onChange(round(value - step))}>
        −
      </button>
      <input
        key={value}
        defaultValue={value}
        aria-label={`Count of ${name}`}
        inputMode="decimal"
        className="num w-14 border-y border-rule bg-card py-1 text-center text-[17px]"
        onBlur={(e) => typed(e.target)}
        onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
      />
      <button type="button" aria-label={`More ${name}`} className={press} onClick={() => onChange(round(value + step))}>
        +
      </button>
    </span>
  )
}
