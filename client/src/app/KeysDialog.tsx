import { Dialog } from '../ui/Dialog'

const lists: [string, [string, string][]][] = [
  [
    'Anywhere',
    [
      ['?', 'this list'],
      ['Ctrl K', 'find a job, board, block, step or place'],
      ['B', 'benches'],
      ['L', 'library'],
      ['D', 'drawer'],
    ],
  ],
  [
    'On the benches',
    [
      ['N', 'to your next work'],
      ['← →', 'the day before or after'],
    ],
  ],
  [
    'On a job',
    [
      ['Space', 'sign the step'],
      ['Enter', 'sign a whole pass of turns'],
      ['Backspace', 'take the last sign-off back'],
      ['1 – 9', 'go to a station'],
      ['← →', 'look at the step before or after'],
      ['F', 'turn the board over'],
      ['O', 'the other board, where an order has several'],
      ['T', "start the step's timer"],
      ['N', 'write a note'],
      ['G', 'bench mode'],
      ['X', 'cut a section, at Pads'],
    ],
  ],
  [
    'Tracing a photo',
    [
      ['H', 'click holes'],
      ['P', 'draw parts'],
      ['M, Esc', 'move the picture'],
      ['← → ↑ ↓', 'move by 0.1 mm'],
      ['Delete', 'take it out'],
    ],
  ],
  [
    'At the bench',
    [
      ['Space, right pedal', 'done'],
      ['Enter', 'the whole pass is turned'],
      ['Backspace, left pedal', 'back one'],
      ['F', 'turn the board over'],
      ['O', 'the other board, where an order has several'],
      ['T', 'timer'],
      ['M', 'what to do in a wait, and back'],
      ['V', 'read it aloud'],
      ['+ −', 'count a screw'],
      ['Esc', 'back to the desk'],
    ],
  ],
]

export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} title="Keys" wide>
      <div className="grid grid-cols-[repeat(auto-fit,minmax(160px,1fr))] gap-5">
        {lists.map(([title, keys]) => (
          <section key={title}>
            <h3 className="mb-1 font-bold text-copper">{title}</h3>
            <dl>
              {keys.map(([k, v]) => (
                <div key={k} className="border-b border-rule py-1">
                  <dt className="num text-[17px] font-semibold">{k}</dt>
                  <dd className="text-soft">{v}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Dialog>
  )
}
