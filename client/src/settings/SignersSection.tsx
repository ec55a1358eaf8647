import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { answer, http, type Schemas, told } from '../api/client'
import { useInitials } from '../app/settings'
import { inkNames, inkOf, stamp } from '../day/DayStrip'
import { Button } from '../ui/Button'
import { day } from '../ui/format'

type Signer = Schemas['SignerRow']

/** Who signs: initials, name, ink of the stamp, whether they work today, and who left. */
export function SignersSection() {
  const client = useQueryClient()
  const all = useQuery({ queryKey: ['signers'], queryFn: () => answer(http.GET('/api/signers')) })
  const [by] = useInitials()
  const [fault, setFault] = useState<string>()
  const [fresh, setFresh] = useState('')
  // a line is sent whole: what was changed last has to arrive last
  const turn = useRef(Promise.resolve())
  const put = (initials: string, s: Pick<Signer, 'name' | 'colour' | 'works'> & { left: boolean }) => {
    turn.current = turn.current.then(async () => {
      setFault(undefined)
      try {
        await answer(
          http.PUT('/api/signers/{initials}', { params: { path: { initials } }, body: { ...s, by: by || undefined } }),
        )
        void client.invalidateQueries()
      } catch (e) {
        setFault(told(e))
      }
    })
    return turn.current
  }
  return (
    <section aria-label="Who signs" className="mb-6">
      <h2 className="mb-1 text-[19px] font-bold">Who signs</h2>
      <p className="mb-2 max-w-[70ch] text-[15px] text-soft">
        Initials stay in the record as they were signed. Who left signs nothing more; what they signed stands under the
        same initials.
      </p>
      <ul className="grid gap-1.5">
        {(all.data ?? []).map((s) => (
          <SignerLine key={s.initials + s.leftAt} signer={s} put={put} />
        ))}
      </ul>
      <form
        className="mt-2 flex items-center gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          void put(fresh, { name: '', colour: 'ink', works: true, left: false }).then(() => setFresh(''))
        }}
      >
        <input
          value={fresh}
          onChange={(e) => setFresh(e.target.value.toUpperCase())}
          aria-label="Initials of somebody new"
          placeholder="initials"
          className="min-h-11 w-28 border border-rule bg-raised px-3 text-[17px]"
        />
        <Button type="submit" disabled={!fresh}>
          Add to the shop
        </Button>
      </form>
      {fault && (
        <p role="alert" className="mt-1 text-plum">
          {fault}
        </p>
      )}
    </section>
  )
}

function SignerLine({
  signer: s,
  put,
}: {
  signer: Signer
  put: (initials: string, s: Pick<Signer, 'name' | 'colour' | 'works'> & { left: boolean }) => Promise<void>
}) {
  // what is typed stands while the line comes back from the server: it is not drawn anew under the hand
  const [typed, setName] = useState<string>()
  const name = typed ?? s.name
  const left = s.leftAt != null
  const kept = { name, colour: s.colour, works: s.works, left }
  return (
    <li className="flex flex-wrap items-center gap-3 bg-card px-3 py-1.5" data-signer={s.initials}>
      <b
        className={`grid h-11 w-11 place-items-center ${stamp} text-[15px] ${left ? 'border-rule text-soft' : inkOf(s.colour)}`}
      >
        {s.initials}
      </b>
      <input
        value={name}
        onChange={(e) => setName(e.target.value)}
        onBlur={() => name !== s.name && void put(s.initials, kept)}
        aria-label={`Name of ${s.initials}`}
        placeholder="name"
        className="min-h-11 w-52 border border-rule bg-raised px-2 text-[16px]"
      />
      <select
        value={s.colour}
        aria-label={`Ink of ${s.initials}`}
        onChange={(e) => void put(s.initials, { ...kept, colour: e.target.value })}
        className="min-h-11 border border-rule bg-raised px-2"
      >
        {inkNames.map(([key, text]) => (
          <option key={key} value={key}>
            {text}
          </option>
        ))}
      </select>
      <label className="flex min-h-11 items-center gap-2 text-[15px]">
        <input
          type="checkbox"
          checked={s.works && !left}
          disabled={left}
          onChange={(e) => void put(s.initials, { ...kept, works: e.target.checked })}
        />
        works today
      </label>
      <span className="min-w-0 flex-1 text-[14px] text-soft">
        {s.signatures} signed{left && `, left ${day(s.leftAt)}`}
      </span>
      <Button onClick={() => void put(s.initials, { ...kept, left: !left })}>
        {left ? 'Reactivate' : 'Deactivate'}
      </Button>
    </li>
  )
}
