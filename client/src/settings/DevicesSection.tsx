import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, Refusal, type Schemas } from '../api/client'
import { Button } from '../ui/Button'
import { Fingerprint } from '../ui/Fingerprint'
import { clock, day } from '../ui/format'

/** Tablets of the shop's network: let in by a code, listed, shut out. Shown on the shop's own machine only. */
export function DevicesSection() {
  const client = useQueryClient()
  const all = useQuery({
    queryKey: ['devices'],
    retry: false,
    refetchInterval: 5000,
    queryFn: () => answer(http.GET('/api/devices')),
  })
  const [pairing, setPairing] = useState<Schemas['Pairing'] & { known: number }>()
  const [fault, setFault] = useState<string>()
  if (!all.data) return null
  const act = async (what: () => Promise<unknown>) => {
    setFault(undefined)
    try {
      await what()
    } catch (e) {
      setFault(e instanceof Refusal ? e.message : String(e))
    }
    await client.invalidateQueries({ queryKey: ['devices'] })
  }
  const { open, address, devices, fingerprint } = all.data
  const waits = pairing && devices.length <= pairing.known
  return (
    <section aria-label="Tablets" className="mb-6 bg-card p-4 shadow-[inset_0_0_0_1px_var(--rule)]">
      <h2 className="text-[19px] font-bold">Tablets</h2>
      <p className="mb-2 max-w-[80ch] text-[15px] text-soft">
        {open ? (
          <>
            The shop's network is served at {address}, over HTTPS. The certificate was made here: each tablet asks once
            whether to trust it. Until a tablet trusts it for good, leave its page open where the network may go: what
            is done is kept, but the page itself is not loaded again without the shop.
          </>
        ) : (
          <>
            Only this machine is served. For tablets start with ./run demo --lan, or set “serve the shop's network”
            below and start again.
          </>
        )}
      </p>
      {open && (
        <Button
          kind="go"
          onClick={() =>
            void act(async () =>
              setPairing({ ...(await answer(http.POST('/api/devices/pairings'))), known: devices.length }),
            )
          }
        >
          Pair a tablet
        </Button>
      )}
      {pairing && waits && (
        <div className="mt-3 flex flex-wrap items-center gap-6">
          <img
            alt="Code to be read by the tablet's camera"
            className="h-44 w-44 bg-white p-1"
            src={`data:image/svg+xml;utf8,${encodeURIComponent(pairing.picture)}`}
          />
          <div>
            <p className="text-[15px] text-soft">or open {pairing.address.split('#')[0]} and type</p>
            <p className="num text-[44px] font-semibold leading-none tracking-[0.15em]" data-code>
              {pairing.code}
            </p>
            <p className="mt-1 text-[15px] text-soft">once, until {clock(pairing.until)}</p>
            {(pairing.fingerprint ?? fingerprint) && (
              <p className="mt-2 max-w-[44ch] text-[15px]">
                Before it trusts the certificate the tablet shows its fingerprint. It must be this one:
                <Fingerprint of={pairing.fingerprint ?? fingerprint!} />
              </p>
            )}
          </div>
        </div>
      )}
      {fault && (
        <p role="alert" className="mt-2 text-plum">
          {fault}
        </p>
      )}
      {devices.length > 0 && (
        <ul className="mt-3">
          {devices.map((d) => (
            <li key={d.id} data-device={d.name} className="flex min-h-11 items-center gap-3 border-t border-rule">
              <b className={d.revokedAt ? 'text-soft line-through' : ''}>{d.name}</b>
              <span className="min-w-0 flex-1 text-[14px] text-soft">
                let in {day(d.pairedAt)} {clock(d.pairedAt)}
                {d.seenAt && `, seen ${day(d.seenAt)} ${clock(d.seenAt)}`}
                {d.revokedAt && `, shut out ${day(d.revokedAt)} ${clock(d.revokedAt)}`}
              </span>
              {!d.revokedAt && (
                <Button
                  onClick={() =>
                    void act(() => answer(http.DELETE('/api/devices/{id}', { params: { path: { id: d.id } } })))
                  }
                >
                  Revoke access
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
