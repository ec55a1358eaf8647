import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, told } from '../api/client'
import { Button } from '../ui/Button'
import { Fingerprint } from '../ui/Fingerprint'

const field = 'mt-1 block min-h-14 w-full border-2 border-rule bg-raised px-3 text-[24px]'

/** Lets this tablet into the shop: the code from the shop's own machine, and a name for the list. */
export function PairPage() {
  const [code, setCode] = useState(() => decodeURIComponent(location.hash.slice(1)))
  const [name, setName] = useState('')
  const [fault, setFault] = useState<string>()
  const [busy, setBusy] = useState(false)
  const shown = useQuery({ queryKey: ['pair'], retry: false, queryFn: () => answer(http.GET('/api/pair')) }).data
  const pair = async () => {
    setBusy(true)
    setFault(undefined)
    try {
      await answer(http.POST('/api/pair', { body: { code, name } }))
      location.assign('/')
    } catch (e) {
      setFault(told(e))
      setBusy(false)
    }
  }
  return (
    <main className="grid h-full place-items-center bg-mat p-6">
      <form
        className="w-[min(92vw,460px)] border-t-4 border-copper bg-card p-6"
        onSubmit={(e) => {
          e.preventDefault()
          void pair()
        }}
      >
        <h1 className="text-[28px] font-bold leading-tight">Pair this tablet with the shop</h1>
        <p className="mt-1 text-[16px] text-soft">
          On the shop's own machine open Settings, Tablets: it shows a code that works for ten minutes, once.
        </p>
        <label className="mt-4 block text-[16px]">
          Code
          <input
            className={`num tracking-[0.2em] ${field}`}
            value={code}
            autoComplete="off"
            autoCapitalize="characters"
            onChange={(e) => setCode(e.target.value.toUpperCase())}
          />
        </label>
        <label className="mt-3 block text-[16px]">
          Which tablet this is
          <input className={field} value={name} placeholder="Bench A" onChange={(e) => setName(e.target.value)} />
        </label>
        {shown?.fingerprint && (
          <p className="mt-3 text-[15px] text-soft">
            Compare with the shop's own machine before you go on:
            <Fingerprint of={shown.fingerprint} />
          </p>
        )}
        {fault && (
          <p role="alert" className="mt-3 border-l-[6px] border-plum pl-3 text-[17px] text-plum">
            {fault}
          </p>
        )}
        <Button kind="go" type="submit" disabled={busy || !code || !name} className="mt-5 min-h-14 px-6 text-[20px]">
          Pair
        </Button>
      </form>
    </main>
  )
}
