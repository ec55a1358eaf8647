import { useQuery } from '@tanstack/react-query'
import { answer, http, type Schemas } from '../../api/client'
import { asked } from '../here'
import { Section } from '../Ledger'
import type { RoomProps } from '../room'

type Mark = Schemas['ImprintMark']

const words: Record<Mark, string> = {
  even: 'even',
  faint: 'faint mark',
  'no-mark': 'no mark',
  film: 'film still on',
  'no-pad': 'no pad',
  'bare-corner': 'bare corner',
  'one-side': 'thick on one side',
  'thick-all-over': 'thick all over',
  'pumped-out': 'gone from the middle',
}

/** What a part showed when it was looked at: the part chosen on the mat, and those that were marked. */
export function ImprintSection({ job, here, s, selected }: Pick<RoomProps, 'job' | 'here' | 's' | 'selected'>) {
  const can = useQuery({
    queryKey: ['imprint-marks', job.id, job.version, here.pairKey, here.boardKey],
    enabled: !!here.gaps,
    retry: false,
    queryFn: () =>
      answer(http.GET('/api/jobs/{id}/imprint-marks', { params: { path: { id: job.id }, query: asked(here) } })),
  }).data
  const first = job.order.pieces[0].key
  const own = (l: Schemas['KeptLook']) => (l.board ?? first) === here.boardKey
  const looks = job.sheets.imprint
  const marks = can?.find((c) => c.part === selected)?.marks
  const now = looks.find((l) => own(l) && l.part === selected)?.mark
  const say = (part: string, mark?: Mark) =>
    s.changes.imprint.mutate(
      {
        by: s.by,
        looks: [
          ...looks.filter((l) => !(own(l) && l.part === part)),
          ...(mark ? [{ part, mark, board: here.boardKey }] : []),
        ],
      },
      { onError: s.refuse },
    )
  return (
    <Section title="Inspection results">
      {marks ? (
        <fieldset className="flex flex-wrap gap-1.5">
          <legend className="mb-1 text-[15.5px]">
            <b>{selected}</b> showed
          </legend>
          {marks.map((m) => (
            <button
              key={m}
              type="button"
              aria-pressed={m === now}
              onClick={() => say(selected!, m === now ? undefined : m)}
              className={`min-h-9 rounded-[3px] border px-2.5 ${m === now ? 'border-copper bg-copper-wash font-semibold' : 'border-rule bg-raised'}`}
            >
              {words[m]}
            </button>
          ))}
        </fieldset>
      ) : (
        <p className="text-[14.5px] text-soft">
          Click a part on the mat and say what it showed, along its edge or after a lift: it counts as evidence.
        </p>
      )}
      <ul>
        {looks.filter(own).map((l) => (
          <li key={l.part} className="flex items-baseline gap-2 border-b border-rule/60 py-1 text-[14.5px]">
            <b className="w-14">{l.part}</b>
            <span className={`min-w-0 flex-1 ${l.mark === 'even' ? '' : 'text-plum'}`}>{words[l.mark]}</span>
            <button
              type="button"
              className="text-copper underline"
              aria-label={`Strike ${l.part}`}
              onClick={() => say(l.part)}
            >
              strike
            </button>
          </li>
        ))}
      </ul>
    </Section>
  )
}
