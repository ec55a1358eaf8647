import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, fetched, http, told } from '../api/client'
import { useBench, useBlocks, useBoards, useCards, useDrawerLines, useMachines, useSockets } from '../api/queries'
import { Dialog } from '../ui/Dialog'
import { FileButton } from '../ui/FileButton'
import { stationName } from '../ui/format'
import { useNavigate } from './router'

interface Place {
  id?: number
  kind: string
  text: string
  to: string
  /** What was found in it, where that is not its name. */
  why?: string
}

/** Finds any job, board, block, station or place by a few letters of each word. */
export function Finder({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [text, setText] = useState('')
  const [at, setAt] = useState(0)
  const [fault, setFault] = useState<string>()
  const go = useNavigate()
  const past = usePast(open, text)
  const here = usePlaces(open, text.replace(/\b(board|block)\b/gi, ''))
    .filter((p) =>
      text
        .toLowerCase()
        .split(/\s+/)
        .every((w) => `${p.kind} ${p.text}`.toLowerCase().includes(w)),
    )
    // a job has nine stations: what else is called so comes before them
    .sort((a, b) => Number(a.kind === 'station') - Number(b.kind === 'station'))
    .slice(0, 12)
  const scanned = useScanned(open, text)
  const found = [
    ...scanned,
    ...here,
    ...past.filter((p) => !here.some((h) => h.kind === 'job' && h.id === p.id)),
  ].slice(0, 20)
  const pick = (p?: Place) => {
    if (p) {
      go(p.to)
      setText('')
      setAt(0)
      onClose()
    }
  }
  const read = async (file: File) => {
    try {
      setFault(undefined)
      const headers = { 'Content-Type': file.type }
      pick(await fetched<Place>('/api/labels/read', { method: 'POST', headers, body: file }))
    } catch (e) {
      setFault(told(e))
    }
  }
  return (
    <Dialog open={open} onClose={onClose} title="Find">
      <input
        autoFocus
        value={text}
        aria-label="Find a job, board, block, step or place"
        placeholder="job, client, board, part, fault, signer:qa, date:2026-11"
        className="w-full border border-rule bg-raised px-3 py-2 text-[18px]"
        onChange={(e) => {
          setText(e.target.value)
          setAt(0)
        }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown') setAt((a) => Math.min(found.length - 1, a + 1))
          else if (e.key === 'ArrowUp') setAt((a) => Math.max(0, a - 1))
          else if (e.key === 'Enter') pick(found[at])
          else return
          e.preventDefault()
        }}
      />
      <div className="mt-2">
        <FileButton accept="image/jpeg,image/png" onFile={(f) => void read(f)}>
          Or a picture of a label
        </FileButton>
      </div>
      {fault && (
        <p role="alert" className="mt-1 text-plum">
          {fault}
        </p>
      )}
      <ul className="mt-3">
        {found.map((p, i) => (
          <li key={p.kind + p.to + p.text}>
            <button
              type="button"
              onClick={() => pick(p)}
              className={`flex w-full gap-3 px-2 py-1.5 text-left ${i === at ? 'bg-copper-wash' : ''}`}
            >
              <span className="w-16 shrink-0 text-soft">{p.kind}</span>
              <span className="min-w-0">
                {p.text}
                {p.why && <span className="block truncate text-[14px] text-soft">{p.why}</span>}
              </span>
            </button>
          </li>
        ))}
        {found.length === 0 && <li className="px-2 py-2 text-soft">Nothing by that name. Try fewer letters.</li>}
      </ul>
    </Dialog>
  )
}

/** What a label leads to, typed by a scanner as its code. */
function useScanned(open: boolean, text: string): Place[] {
  const code = /^fb:/i.test(text.trim()) ? text.trim() : ''
  const found = useQuery({
    queryKey: ['label', code],
    enabled: open && code !== '',
    retry: false,
    queryFn: () => answer(http.GET('/api/labels/find', { params: { query: { code } } })),
  }).data
  return code && found ? [{ kind: 'label', text: found.text, to: found.to }] : []
}

/** Jobs of all time by any word of theirs: client, board, block, part, fault, signer, date, note. */
function usePast(open: boolean, text: string): Place[] {
  const found = useQuery({
    queryKey: ['search', text],
    enabled: open && text.trim().length > 1,
    placeholderData: keepPreviousData,
    queryFn: () => answer(http.GET('/api/search', { params: { query: { text } } })),
  }).data
  if (!open || text.trim().length < 2) return []
  return (found ?? []).map((f) => ({
    id: f.id,
    kind: f.finished ? 'done' : 'job',
    text: `${f.id} ${f.title}${f.client ? `, ${f.client}` : ''}`,
    why: `${f.field}: ${f.snippet}`,
    to: `/job/${f.id}`,
  }))
}

function usePlaces(open: boolean, text: string): Place[] {
  const bench = useBench().data
  const boards = useBoards(text).data
  const blocks = useBlocks(text).data
  const [cards, sockets, machines] = [useCards(open).data, useSockets(open).data, useMachines(open).data]
  const lines = useDrawerLines(open).data
  if (!open) return []
  return [
    ...(bench?.jobs ?? []).flatMap((j) => [
      { id: j.id, kind: 'job', text: `${j.id} ${j.title}`, to: `/job/${j.id}/${j.station}` },
      ...(j.nextStep ? [{ kind: 'step', text: `${j.nextStep} (job ${j.id})`, to: `/job/${j.id}/${j.station}` }] : []),
      ...j.route.map((r) => ({
        kind: 'station',
        text: `${stationName(r.station)}, job ${j.id}, ${j.title}`,
        to: `/job/${j.id}/${r.station}`,
      })),
    ]),
    ...(boards ?? []).map((b) => ({
      kind: 'board',
      text: `${b.maker} ${b.model} ${b.label}`,
      to: `/library/boards/${b.id}`,
    })),
    ...(blocks ?? []).map((b) => ({ kind: 'block', text: `${b.maker} ${b.model}`, to: `/library/blocks/${b.id}` })),
    ...(cards ?? []).map((c) => ({ kind: 'card', text: `${c.maker} ${c.model}`, to: `/library/cards/${c.id}` })),
    ...(sockets ?? []).map((x) => ({ kind: 'socket', text: x.name, to: `/library/sockets/${x.id}` })),
    ...(machines ?? []).map((m) => ({ kind: 'machine', text: m.name, to: `/library/machines/${m.id}` })),
    ...(lines ?? []).map((l) => ({ kind: 'drawer', text: l.text, to: l.to })),
    { kind: 'place', text: 'Benches', to: '/' },
    { kind: 'place', text: 'Library', to: '/library' },
    { kind: 'place', text: 'Drawer', to: '/drawer' },
    { kind: 'place', text: 'Instruments: caliper, torque driver, camera, logger', to: '/instruments' },
    { kind: 'place', text: 'Settings: working defaults of the shop', to: '/settings' },
    { kind: 'place', text: 'Identify a board', to: '/library/twin' },
    { kind: 'place', text: 'Trace a photo', to: '/library/trace' },
  ]
}
