import { useQuery } from '@tanstack/react-query'
import { type Face, fetched, type Schemas } from '../../api/client'
import type { Projection } from '../../mat/view'
import { Section } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import type { Editor } from './useEditor'

export type Difference = Schemas['LikeDifference']

/** What differs between the document and the one that it was begun from. */
export const useLike = (text?: string) =>
  useQuery({
    queryKey: ['like', text],
    enabled: !!text?.includes('"x-like"'),
    retry: false,
    gcTime: 0,
    placeholderData: (before: Schemas['LikeAnswer'] | undefined) => before,
    queryFn: () =>
      fetched<Schemas['LikeAnswer']>('/api/library/differences', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: text,
      }),
  }).data

/** Every difference in words; choosing one turns to it. */
export function Like({
  editor,
  like,
  onOpen,
}: {
  editor: Editor
  like: Schemas['LikeAnswer']
  onOpen: (at: string) => void
}) {
  if (!like.id) return null
  const unseen = (editor.checked?.board?.parts ?? []).flatMap((p, i) =>
    p.evidence === 'assumed' ? [`/parts/${i}/evidence`] : [],
  )
  return (
    <Section title={`As ${like.name}, but`}>
      {like.differences.length === 0 && <p className="text-[14.5px] text-soft">Nothing differs yet.</p>}
      <ul className="max-h-56 overflow-y-auto">
        {like.differences.map((d) => (
          <li key={`${d.change} ${d.at}`} className="border-b border-rule/60 py-1 text-[14.5px] leading-snug">
            {d.change === 'gone' ? (
              <b className="text-plum">{d.name}</b>
            ) : (
              <button
                type="button"
                className="font-bold text-copper underline underline-offset-3"
                onClick={() => onOpen(d.at)}
              >
                {d.name}
              </button>
            )}{' '}
            {d.text}
          </li>
        ))}
      </ul>
      {unseen.length > 0 && (
        <Button
          className="mt-1.5"
          onClick={() => {
            // no more than the server takes at once
            for (let i = 0; i < unseen.length; i += 200)
              void editor.apply(unseen.slice(i, i + 200).map((at) => ({ do: 'set', at, value: null })))
          }}
        >
          Looked at: {unseen.length} parts are as drawn
        </Button>
      )}
    </Section>
  )
}

/** The same on the drawing: a ring round what is new or changed, a line from where it was, a cross where it is gone. */
export const LikeLayer = ({ p, face, differences }: { p: Projection; face: Face; differences: Difference[] }) => (
  <g className="pointer-events-none" stroke="var(--plum)" fill="none" strokeWidth={2}>
    {differences
      .filter((d) => !d.face || d.face === face)
      .map((d) => {
        const [was, is] = [d.was, d.is].map((q) => q && [p.x(q[0]), p.y(q[1])])
        return (
          <g key={`${d.change} ${d.at}`} data-difference={d.change}>
            {was && !is && <path d={`M${was[0] - 9} ${was[1] - 9}l18 18m0 -18l-18 18`} strokeDasharray="3 3" />}
            {was && is && d.change === 'moved' && (
              <>
                <circle cx={was[0]} cy={was[1]} r={4} strokeDasharray="2 2" />
                <path d={`M${was[0]} ${was[1]}L${is[0]} ${is[1]}`} />
              </>
            )}
            {is && <circle cx={is[0]} cy={is[1]} r={12} strokeDasharray={d.change === 'new' ? undefined : '5 3'} />}
          </g>
        )
      })}
  </g>
)
