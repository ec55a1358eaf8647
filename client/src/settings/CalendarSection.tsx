import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, told } from '../api/client'
import { Button } from '../ui/Button'

/** The address under which a calendar program reads promises and dates of care. Shown on the workshop's own machine only. */
export function CalendarSection() {
  const client = useQueryClient()
  const [fault, setFault] = useState<string>()
  const [copied, setCopied] = useState(false)
  const calendar = useQuery({
    queryKey: ['calendar'],
    retry: false,
    queryFn: () => answer(http.GET('/api/settings/calendar')),
  }).data
  if (!calendar) return null
  const address = calendar.lanAddress ?? calendar.address
  const renew = async () => {
    setFault(undefined)
    setCopied(false)
    try {
      client.setQueryData(['calendar'], await answer(http.POST('/api/settings/calendar/address')))
    } catch (e) {
      setFault(told(e))
    }
  }
  const copy = async () => {
    await navigator.clipboard.writeText(address)
    setCopied(true)
  }
  return (
    <section aria-label="Calendar" className="mb-6 bg-card p-4 shadow-[inset_0_0_0_1px_var(--rule)]">
      <h2 className="text-[19px] font-bold">Calendar to subscribe to</h2>
      <p className="mb-2 max-w-[80ch] text-[15px] text-soft">
        Promises and care dates of every job, for the calendar on your desk or telephone. Everybody who has the address
        can read titles, clients and dates. A new address ends the old one.
      </p>
      <code className="num block max-w-full break-all text-[15px]">{address}</code>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <Button kind="go" onClick={() => void copy()}>
          Copy the address
        </Button>
        <Button onClick={() => void renew()}>Make a new address</Button>
        {copied && <span role="status">Copied.</span>}
      </div>
      {fault && (
        <p role="alert" className="mt-2 text-plum">
          {fault}
        </p>
      )}
    </section>
  )
}
