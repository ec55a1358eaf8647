import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, type Schemas, told } from '../api/client'
import { useInitials } from '../app/settings'
import { Button } from '../ui/Button'
import { clock, day } from '../ui/format'

type View = Schemas['EventsView']

const path = '/api/settings/events' as const

const names: Record<string, string> = {
  'job.opened': 'Job opened',
  'job.finished': 'Job finished',
  'job.late': 'Job late',
  'inventory.low': 'Inventory low',
  test: 'Test',
}

/** What the shop's other tools are told, and how it went. Shown on the workshop's own machine only. */
export function EventsSection() {
  const all = useQuery({
    queryKey: ['events'],
    retry: false,
    refetchInterval: (q) => (q.state.data?.open ? 5000 : false),
    queryFn: () => answer(http.GET(path)),
  })
  if (!all.data) return null
  return (
    <section aria-label="Events" className="mb-6 bg-card p-4 shadow-[inset_0_0_0_1px_var(--rule)]">
      <h2 className="text-[19px] font-bold">Events for other tools</h2>
      <p className="mb-2 max-w-[80ch] text-[15px] text-soft">
        Each event is posted to one address as CloudEvents 1.0 in JSON, signed by RFC 9421 with the key below. What does
        not arrive is sent again for a day and a half. Client names are never sent.
      </p>
      <Target key={`${all.data.address} ${all.data.open} ${all.data.kinds}`} view={all.data} />
      {all.data.address && <Key secret={all.data.secret} />}
      {all.data.events.length > 0 && <Log events={all.data.events} />}
    </section>
  )
}

/** Runs a change and shows what stands afterwards, or why it was refused. */
function useChange() {
  const client = useQueryClient()
  const [fault, setFault] = useState<string>()
  const change = async (what: () => Promise<View>) => {
    setFault(undefined)
    try {
      client.setQueryData(['events'], await what())
    } catch (e) {
      setFault(told(e))
    }
  }
  return { change, fault }
}

function Target({ view }: { view: View }) {
  const [by] = useInitials()
  const [address, setAddress] = useState(view.address ?? '')
  const [kinds, setKinds] = useState(view.kinds)
  const { change, fault } = useChange()
  const put = (open: boolean) => change(() => answer(http.PUT(path, { body: { address, open, kinds, by } })))
  const changed = address !== (view.address ?? '') || kinds.join() !== view.kinds.join()
  return (
    <form
      className="grid max-w-[760px] gap-3"
      onSubmit={(e) => {
        e.preventDefault()
        void put(view.open)
      }}
    >
      <label className="block text-[14.5px] text-soft">
        Address
        <input
          type="url"
          value={address}
          maxLength={500}
          placeholder="https://"
          onChange={(e) => setAddress(e.target.value)}
          className="mt-0.5 block min-h-11 w-full border border-rule bg-raised px-2 text-[17px] text-ink"
        />
      </label>
      <fieldset className="flex flex-wrap gap-x-6">
        <legend className="text-[14.5px] text-soft">Events sent</legend>
        {view.choices.map((k) => (
          <label key={k} className="flex min-h-11 items-center gap-2 text-[16px]">
            <input
              type="checkbox"
              className="h-6 w-6 accent-copper"
              checked={kinds.includes(k)}
              onChange={(e) => setKinds(view.choices.filter((c) => (c === k ? e.target.checked : kinds.includes(c))))}
            />
            {names[k] ?? k}
          </label>
        ))}
      </fieldset>
      <div className="flex flex-wrap items-center gap-3">
        {view.open ? (
          <>
            <Button kind="go" type="submit" disabled={!changed}>
              Save
            </Button>
            <Button onClick={() => void put(false)}>Turn off</Button>
            <Button onClick={() => void change(() => answer(http.POST(`${path}/test`)))}>Send a test</Button>
          </>
        ) : (
          <Button kind="go" disabled={address === '' || kinds.length === 0} onClick={() => void put(true)}>
            Turn on
          </Button>
        )}
        <b data-events={view.open ? 'on' : 'off'}>{view.open ? 'On' : 'Off'}</b>
      </div>
      {fault && (
        <p role="alert" className="text-plum">
          {fault}
        </p>
      )}
    </form>
  )
}

function Key({ secret }: { secret: string }) {
  const [shown, show] = useState(false)
  const { change, fault } = useChange()
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3 text-[15px]">
      <span className="text-soft">Key of the signatures</span>
      <code className="num break-all">{shown ? secret : '••••••••'}</code>
      <Button onClick={() => show(!shown)}>{shown ? 'Hide' : 'Show'}</Button>
      <Button onClick={() => void change(() => answer(http.POST(`${path}/secret`)))}>Make a new key</Button>
      {fault && <p role="alert">{fault}</p>}
    </div>
  )
}

const state = (e: View['events'][number]) =>
  e.deliveredAt
    ? `arrived ${day(e.deliveredAt)} ${clock(e.deliveredAt)}`
    : e.nextAt
      ? e.tries === 0
        ? 'waits to be sent'
        : `again at ${clock(e.nextAt)}, try ${e.tries + 1}`
      : e.tries === 0
        ? 'not sent'
        : `given up after ${e.tries === 1 ? '1 try' : `${e.tries} tries`}`

function Log({ events }: { events: View['events'] }) {
  const { change, fault } = useChange()
  return (
    <div className="mt-3 max-h-80 overflow-y-auto" tabIndex={0} role="region" aria-label="Last events">
      {fault && <p role="alert">{fault}</p>}
      <table className="w-full text-left text-[15px]">
        <thead className="text-soft">
          <tr>
            <th className="py-1 pr-3 font-normal">Event</th>
            <th className="pr-3 font-normal">When</th>
            <th className="pr-3 font-normal">Sent</th>
            <th className="pr-3 font-normal">Answer</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {events.map((e) => (
            <tr key={e.id} data-event={e.kind} className="border-t border-rule">
              <td className="py-1 pr-3">
                <b>{names[e.kind] ?? e.kind}</b>
                {e.what && <span className="ml-2">{e.what}</span>}
              </td>
              <td className="num pr-3">
                {day(e.at)} {clock(e.at)}
              </td>
              <td className={`pr-3 ${e.deliveredAt ? '' : 'text-plum'}`}>{state(e)}</td>
              <td className="pr-3">{e.answer}</td>
              <td className="text-right">
                {!e.nextAt && (
                  <Button
                    onClick={() =>
                      void change(() =>
                        answer(http.POST(`${path}/{eventId}/again`, { params: { path: { eventId: e.id } } })),
                      )
                    }
                  >
                    Send again
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
