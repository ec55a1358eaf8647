import type { Schemas } from '../api/client'
import { Mat } from '../mat/Mat'
import { Button } from '../ui/Button'
import { BlockDrawing } from './BlockDrawing'
import type { DocumentPath } from './documents'
import { KeepChanged } from './KeepChanged'
import { SocketDrawing } from './sockets/SocketDrawing'

export interface Dropped {
  name: string
  text: string
  checked?: Schemas['Checked']
  fault?: string
}

const many = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`

/** Dropped files before they are kept: drawn, or with every fault at its place. */
export function Intake({
  items,
  onKeep,
  onDrop,
}: {
  items: Dropped[]
  /** With the version that was seen, where one stands already. */
  onKeep: (d: Dropped, seen?: number) => void
  onDrop: (d: Dropped) => void
}) {
  return (
    <div className="scroll-thin flex min-h-0 flex-col overflow-y-auto">
      {items.map((d) => {
        const { board, block, card, socket, machine, faults = [], doubts: told, known, sameContent } = d.checked ?? {}
        const doubts = told ?? []
        const whose = board ?? block ?? card ?? socket ?? machine
        return (
          <article key={d.name} className="flex min-h-[60%] flex-1 flex-col border-b border-rule" aria-label={d.name}>
            <header className="flex items-center gap-4 bg-card px-5 py-3">
              <div className="min-w-0 flex-1">
                <h2 className="truncate text-[20px] font-bold">{d.name}</h2>
                <p className={d.fault || faults.length ? 'text-plum' : 'text-soft'}>
                  {d.fault ??
                    (faults.length
                      ? `${faults.length} ${faults.length === 1 ? 'fault' : 'faults'}; nothing was kept`
                      : board
                        ? `${board.maker} ${board.model}, ${board.boardCode} ${board.revision}: ${many(board.holes.length, 'hole')}, ${many(board.parts.length, 'part')}`
                        : block
                          ? `${block.maker} ${block.model}, ${block.kind.replace('-', ' ')}`
                          : card
                            ? `${card.maker} ${card.model}, ${card.boardCode} ${card.revision}: a card of ${card.boards.length} boards`
                            : socket
                              ? `Socket ${socket.name}`
                              : machine
                                ? `${machine.name}: ${machine.cards.map((c) => `${c.key} in slot ${c.slot}`).join(', ')}; ${many(machine.links.length, 'rigid link')}`
                                : '')}
                  {known &&
                    !faults.length &&
                    !d.fault &&
                    (sameContent ? '. Kept already, same content.' : '. It stands already with other content.')}
                </p>
              </div>
              {whose && !known && (
                <Button kind="go" onClick={() => onKeep(d)}>
                  Keep in the library
                </Button>
              )}
              <Button onClick={() => onDrop(d)}>Discard</Button>
            </header>
            {whose && known && !sameContent && !faults.length && (
              <KeepChanged
                what={`${d.checked!.kind}s` as DocumentPath}
                id={whose.id}
                text={d.text}
                onKeep={(seen) => onKeep(d, seen)}
              />
            )}
            {doubts.length > 0 && (
              <ul className="mt-4 ml-5 list-disc pl-5 text-[15px] text-plum" aria-label="Doubts">
                {doubts.map((t) => (
                  <li key={t}>{t}</li>
                ))}
              </ul>
            )}
            {faults.length > 0 && (
              <table className="m-5 w-[calc(100%-40px)] text-[15px]">
                <caption className="mb-2 text-left text-soft">Mend these places in {d.name} and drop it again.</caption>
                <thead className="text-left text-[13px] text-soft">
                  <tr>
                    <th scope="col" className="w-72">
                      place
                    </th>
                    <th scope="col">what is wrong</th>
                  </tr>
                </thead>
                <tbody>
                  {faults.map((f, i) => (
                    <tr key={i} className="border-b border-rule align-top">
                      <td className="num py-1.5 pr-4 text-[16px] text-plum">{f.pointer || 'the whole file'}</td>
                      <td className="py-1.5">{f.message}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
            {board && (
              <div className="flex min-h-80 flex-1">
                <Mat board={board} face="front" label={`${board.model} as read`} />
              </div>
            )}
            {card?.boards.map(({ key, board: of }) => (
              <div key={key} className="flex min-h-64 flex-1">
                <Mat board={of} face="front" label={`Board ${key} of ${card.model} as read`} />
              </div>
            ))}
            {socket && (
              <div className="flex min-h-80 flex-1">
                <SocketDrawing socket={socket} rotationDeg={0} bare={false} />
              </div>
            )}
            {block && (
              <div className="flex min-h-80 flex-1">
                <BlockDrawing block={block} />
              </div>
            )}
          </article>
        )
      })}
    </div>
  )
}
