import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, fetched, http, type Schemas, told } from '../api/client'
import { useInitials } from '../app/settings'
import { Button } from '../ui/Button'
import { day } from '../ui/format'

type Card = Schemas['ShopCardView']

/** The shop as its records name it: name, contact and mark. */
export function ShopSection() {
  const card = useQuery({ queryKey: ['shop-card'], queryFn: () => answer(http.GET('/api/settings/shop')) }).data
  return (
    <section aria-label="The shop" className="mb-6">
      <h2 className="mb-1 text-[19px] font-bold">The shop</h2>
      <p className="mb-2 max-w-[70ch] text-[15px] text-soft">This stands at the head of every record a client keeps.</p>
      {card && <Form key={`${card.at}`} card={card} />}
    </section>
  )
}

function Form({ card }: { card: Card }) {
  const client = useQueryClient()
  const [by] = useInitials()
  const [name, setName] = useState(card.name)
  const [contact, setContact] = useState(card.contact)
  const [fault, setFault] = useState<string>()
  const keep = async (change: () => Promise<Card>) => {
    setFault(undefined)
    try {
      client.setQueryData(['shop-card'], await change())
    } catch (e) {
      setFault(told(e))
    }
  }
  const put = () => keep(() => answer(http.PUT('/api/settings/shop', { body: { name, contact, by } })))
  const mark = (file: File) =>
    keep(() =>
      fetched(`/api/settings/shop/mark?by=${encodeURIComponent(by)}`, {
        method: 'PUT',
        headers: { 'Content-Type': file.type },
        body: file,
      }),
    )
  const changed = name !== card.name || contact !== card.contact
  const box = 'mt-0.5 block w-full border border-rule bg-raised px-2 text-[17px] text-ink'
  return (
    <form
      className="grid max-w-[760px] gap-3 bg-card p-3 sm:grid-cols-[1fr_220px]"
      onSubmit={(e) => {
        e.preventDefault()
        void put()
      }}
    >
      <div className="grid gap-2">
        <label className="block text-[14.5px] text-soft">
          Name
          <input value={name} maxLength={80} onChange={(e) => setName(e.target.value)} className={`min-h-11 ${box}`} />
        </label>
        <label className="block text-[14.5px] text-soft">
          Contact, a line each
          <textarea
            rows={3}
            value={contact}
            maxLength={400}
            onChange={(e) => setContact(e.target.value)}
            className={`py-1 ${box}`}
          />
        </label>
      </div>
      <div className="flex flex-col gap-2">
        <span className="text-[14.5px] text-soft">Mark</span>
        <div className="grid h-24 place-items-center border border-rule bg-raised p-2">
          {card.hasMark ? (
            <img
              src={`/api/settings/shop/mark?at=${encodeURIComponent(card.at ?? '')}`}
              alt="The shop’s mark"
              className="max-h-20 max-w-full"
            />
          ) : (
            <span className="text-[14.5px] text-soft">none, PNG or JPEG up to 300 KiB</span>
          )}
        </div>
        <div className="flex gap-2">
          <label className="inline-flex min-h-11 cursor-pointer items-center rounded-[3px] border border-rule bg-raised px-3 font-semibold">
            {card.hasMark ? 'Another' : 'Choose'}
            <input
              type="file"
              accept="image/png,image/jpeg"
              aria-label="The shop’s mark"
              className="sr-only"
              onChange={(e) => {
                const f = e.target.files?.[0]
                e.target.value = ''
                if (f) void mark(f)
              }}
            />
          </label>
          {card.hasMark && (
            <Button
              onClick={() =>
                void keep(() => answer(http.DELETE('/api/settings/shop/mark', { params: { query: { by } } })))
              }
            >
              None
            </Button>
          )}
        </div>
      </div>
      <div className="flex flex-wrap items-center gap-3 sm:col-span-2">
        <Button kind="go" type="submit" disabled={!changed || !by}>
          Keep
        </Button>
        {card.at && (
          <span className="text-[14px] text-soft">
            last kept by {card.by}, {day(card.at)}
          </span>
        )}
        {fault && (
          <span role="alert" className="text-plum">
            {fault}
          </span>
        )}
      </div>
    </form>
  )
}
