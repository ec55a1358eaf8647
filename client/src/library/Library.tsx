import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { asJson, fetched, type Schemas } from '../api/client'
import { useBlocks, useBoards, useCards, useMachines, useSockets, useUnread } from '../api/queries'
import { Link, useNavigate, useParams } from '../app/router'
import { useInitials } from '../app/settings'
import { fixed } from '../ui/format'
import { ArchivedList } from './ArchivedList'
import { BlockPage } from './BlockPage'
import { BoardPage } from './BoardPage'
import { CardPage } from './CardPage'
import { type DocumentPath, putDocument } from './documents'
import { drafts } from './edit/drafts'
import { LayoutIntake } from './exchange/LayoutIntake'
import { PackIntake } from './exchange/PackIntake'
import { type Dropped, Intake } from './Intake'
import { MachinePage } from './MachinePage'
import { RecordCheck } from './RecordCheck'
import { SocketPage } from './sockets/SocketPage'
import { TracePage } from './trace/TracePage'
import { TwinPage } from './twin/TwinPage'

/** Boards and blocks: drop a file, see it drawn, see what is wrong with it, keep it or not. */
export function Library() {
  const { kind, id } = useParams()
  const [dropped, setDropped] = useState<Dropped[]>([])
  const [over, setOver] = useState(false)
  const [filter, setFilter] = useState('')
  const boards = useBoards(filter)
  const blocks = useBlocks(filter)
  const cards = useCards()
  const sockets = useSockets()
  const machines = useMachines()
  const unread = useUnread().data ?? []
  const client = useQueryClient()
  const go = useNavigate()
  const [by] = useInitials()
  const [layout, setLayout] = useState<File[]>([])
  const [pack, setPack] = useState<File>()
  const [record, setRecord] = useState<File>()
  const take = async (files: FileList | null) => {
    const all = [...(files ?? [])]
    const json = all.filter((f) => /\.json$/i.test(f.name))
    const zip = all.find((f) => /\.zip$/i.test(f.name))
    const read: Dropped[] = []
    setRecord(all.find((f) => /\.html?$/i.test(f.name)))
    setPack(zip)
    setLayout(zip ? [] : all.filter((f) => !json.includes(f) && !/\.html?$/i.test(f.name)))
    for (const file of json) {
      const text = file.size > 4 * 1024 * 1024 ? null : await file.text()
      if (text === null)
        read.push({
          name: file.name,
          text: '',
          fault: `${file.name} has ${fixed(file.size / 1048576, 1)} MiB; at most 4 MiB are read.`,
        })
      else {
        try {
          read.push({
            name: file.name,
            text,
            checked: await fetched<Schemas['Checked']>('/api/library/check', asJson(text)),
          })
        } catch (e) {
          read.push({ name: file.name, text, fault: (e as Error).message })
        }
      }
    }
    setDropped(read)
  }
  const keepBoard = async (text: string) => {
    try {
      const kept = await fetched<{ id: string }>('/api/boards', asJson(text))
      await client.invalidateQueries()
      go(`/library/boards/${kept.id}`)
    } catch (e) {
      setDropped([{ name: 'board from layout files', text, fault: (e as Error).message }])
    }
  }
  const keep = async (d: Dropped, seen?: number) => {
    try {
      const path = `${d.checked!.kind}s` as DocumentPath
      const { board, block, card, socket, machine } = d.checked!
      const id = (board ?? block ?? card ?? socket ?? machine)!.id
      if (seen) await putDocument(path, id, d.text, seen, by)
      else await fetched(`/api/${path}`, asJson(d.text))
      await client.invalidateQueries()
      setDropped((list) => list.filter((x) => x !== d))
      go(`/library/${path}/${id}`)
    } catch (e) {
      setDropped((list) => list.map((x) => (x === d ? { ...x, fault: (e as Error).message } : x)))
    }
  }
  const match = (text: string) =>
    filter
      .toLowerCase()
      .split(/\s+/)
      .every((w) => text.toLowerCase().includes(w))
  return (
    <main
      className={`grid min-h-0 grid-cols-[300px_minmax(0,1fr)] ${over ? 'outline-4 -outline-offset-4 outline-copper outline-dashed' : ''}`}
      onDragOver={(e) => {
        e.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => {
        e.preventDefault()
        setOver(false)
        void take(e.dataTransfer.files)
      }}
    >
      <nav
        className="scroll-thin flex min-h-0 flex-col overflow-y-auto border-r-2 border-dotted border-rule bg-card"
        aria-label="Library"
      >
        <div className="border-b border-rule p-3">
          <label className="block cursor-pointer border-2 border-dashed border-copper bg-copper-wash px-3 py-2.5 text-center focus-within:outline-3 focus-within:outline-copper">
            <b>Drop documents here</b>
            <span className="block text-[14px] text-soft">
              boards, blocks, cards, sockets, machines, layout files, a pack, or a build record to check
            </span>
            <input
              type="file"
              multiple
              className="sr-only"
              onChange={(e) => {
                void take(e.target.files)
                e.target.value = ''
              }}
            />
          </label>
          <input
            value={filter}
            onChange={(e) => setFilter(e.target.value)}
            placeholder="maker, model, code"
            aria-label="Narrow the list"
            className="mt-2 w-full border border-rule bg-raised px-2 py-1.5"
          />
          <p className="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-[15px]">
            <Link className="text-copper underline underline-offset-3" to="/library/twin">
              Identify a board
            </Link>
            <Link className="text-copper underline underline-offset-3" to="/library/trace">
              Trace a photo
            </Link>
            <a className="text-copper underline underline-offset-3" href="/api/library/pack" download>
              Save all as a pack
            </a>
          </p>
        </div>
        <DraftList />
        <List
          title="Boards"
          to="boards"
          active={kind === 'boards' ? id : undefined}
          items={(boards.data ?? [])
            .filter((b) => b.kind !== 'processor')
            .map((b) => ({
              id: b.id,
              name: `${b.maker} ${b.model}`,
              sub: `${b.label}, ${b.kind.replace('-', ' ')}${b.positionSigmaMm > 0 ? ', traced' : ''}`,
            }))}
        />
        {(cards.data ?? []).length > 0 && (
          <List
            title="Cards of several boards"
            to="cards"
            active={kind === 'cards' ? id : undefined}
            items={(cards.data ?? [])
              .map((c) => ({
                id: c.id,
                name: `${c.maker} ${c.model}`,
                sub: `${c.boardCode} ${c.revision}, boards ${c.boards.join(', ')}`,
              }))
              .filter((x) => match(x.name + x.sub))}
          />
        )}
        {(sockets.data ?? []).length > 0 && (
          <List
            title="Sockets"
            to="sockets"
            active={kind === 'sockets' ? id : undefined}
            items={(sockets.data ?? [])
              .map((s) => ({
                id: s.id,
                name: s.name,
                sub: s.posts === 'captive' ? 'captive posts' : 'posts on a back plate',
              }))
              .filter((x) => match(x.name + x.sub))}
          />
        )}
        {(machines.data ?? []).length > 0 && (
          <List
            title="Machines"
            to="machines"
            active={kind === 'machines' ? id : undefined}
            items={(machines.data ?? [])
              .map((m) => ({ id: m.id, name: m.name, sub: `${m.cards} cards, ${m.links} rigid links` }))
              .filter((x) => match(x.name + x.sub))}
          />
        )}
        <List
          title="Blocks"
          to="blocks"
          active={kind === 'blocks' ? id : undefined}
          items={(blocks.data ?? []).map((b) => ({
            id: b.id,
            name: `${b.maker} ${b.model}`,
            sub: `${b.kind.replace('-', ' ')}, ${b.screws} ${b.screws === 1 ? 'screw' : 'screws'}`,
          }))}
        />
        <ArchivedList />
        {unread.length > 0 && (
          <section aria-label="Documents that do not read" className="border-t-2 border-plum px-4 py-2 text-[14px]">
            <h2 className="font-semibold text-plum">Kept, but they do not read: {unread.length}</h2>
            {unread.map((u) => (
              <p key={`${u.kind}/${u.id}`} className="mt-1 leading-snug">
                <b>
                  {u.kind} {u.id}
                </b>
                : {u.why} Mend the document and drop it again.
              </p>
            ))}
          </section>
        )}
      </nav>
      {record ? (
        <RecordCheck key={record.name + record.lastModified} file={record} onDone={() => setRecord(undefined)} />
      ) : pack ? (
        <PackIntake
          key={pack.name}
          file={pack}
          onDone={(kept) => {
            setPack(undefined)
            if (kept) void client.invalidateQueries()
          }}
        />
      ) : layout.length > 0 ? (
        <LayoutIntake
          key={layout.map((f) => f.name).join()}
          files={layout}
          onDone={() => setLayout([])}
          onKeep={(text) => {
            setLayout([])
            return keepBoard(text)
          }}
        />
      ) : dropped.length > 0 ? (
        <Intake items={dropped} onKeep={keep} onDrop={(d) => setDropped(dropped.filter((x) => x !== d))} />
      ) : kind === 'twin' ? (
        <TwinPage />
      ) : kind === 'trace' ? (
        <TracePage id={id} />
      ) : kind === 'boards' && id ? (
        <BoardPage id={id} />
      ) : kind === 'sockets' && id ? (
        <SocketPage key={id} id={id} />
      ) : kind === 'machines' && id ? (
        <MachinePage key={id} id={id} />
      ) : kind === 'cards' && id ? (
        <CardPage id={id} />
      ) : kind === 'blocks' && id ? (
        <BlockPage id={id} />
      ) : (
        <Empty boards={boards.data} />
      )}
    </main>
  )
}

/** What is being described on this device and not kept yet. */
function DraftList() {
  const open = drafts()
  return open.length === 0 ? null : (
    <section aria-label="Drafts on this device">
      <h2 className="px-4 pb-1 pt-3 text-[13px] font-semibold text-soft">Drafts on this device, {open.length}</h2>
      {open.map((d) => (
        <Link
          key={d.to}
          to={d.to}
          className="block border-b border-rule/60 border-l-4 border-l-amber px-3 py-1.5 leading-tight"
        >
          <b>{d.id}</b> <span className="text-[13.5px] text-soft">{d.what}</span>
        </Link>
      ))}
    </section>
  )
}

const mostListed = 200

function List({
  title,
  to,
  items,
  active,
}: {
  title: string
  to: string
  active?: string
  items: { id: string; name: string; sub: string }[]
}) {
  return (
    <section aria-label={title}>
      <h2 className="px-4 pb-1 pt-3 text-[13px] font-semibold text-soft">
        {title}, {items.length}
      </h2>
      {items.map((x) => (
        <Link
          key={x.id}
          to={`/library/${to}/${x.id}`}
          aria-current={x.id === active ? 'page' : undefined}
          className={`block border-b border-rule/60 px-4 py-1.5 leading-tight ${x.id === active ? 'bg-raised shadow-[inset_6px_0_0_var(--copper)]' : ''}`}
        >
          <b className="block">{x.name}</b>
          <span className="text-[13.5px] text-soft">{x.sub}</span>
        </Link>
      ))}
      {items.length >= mostListed && (
        <p className="px-4 py-1.5 text-[13.5px] text-soft">The first {mostListed}. Type above to narrow the list.</p>
      )}
    </section>
  )
}

function Empty({ boards }: { boards?: Schemas['BoardEntry'][] }) {
  return (
    <div className="grid place-items-center bg-mat p-8 text-center">
      <div className="max-w-md">
        <p className="text-[22px] font-bold">
          {boards?.length === 0 ? 'The library is empty' : 'Choose a board or block'}
        </p>
        <p className="mt-2 text-soft">A dropped file is drawn and checked first. It is kept only when you say so.</p>
      </div>
    </div>
  )
}
