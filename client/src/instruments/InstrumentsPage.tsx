import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http } from '../api/client'
import { type CaliperReading, useCaliper } from '../api/instruments'
import { Link } from '../app/router'
import { Button } from '../ui/Button'
import { mm } from '../ui/format'
import { LabelCamera } from './LabelCamera'

/** The bench's measuring devices: the panels of the simulated ones, and how a real one plugs in. */
export function InstrumentsPage() {
  const names = useQuery({ queryKey: ['instruments'], queryFn: () => answer(http.GET('/api/instruments')) }).data
  const card = 'bg-card p-5 shadow-[inset_0_0_0_1px_var(--rule)]'
  return (
    <main className="scroll-thin min-h-0 overflow-y-auto bg-mat px-6 py-5" tabIndex={0} aria-label="Instruments">
      <h1 className="text-[26px] font-bold">Instruments</h1>
      <p className="mb-3 mt-1 max-w-3xl text-soft">
        These are stand-ins: they send what a device with a data cable would send. Any open page that waits for a
        reading takes it, on this screen or another.
      </p>
      <div className="grid grid-cols-2 gap-4">
        <section className={card} aria-label="Caliper">
          <h2 className="text-[18px] font-bold">Caliper</h2>
          <Caliper />
        </section>
        <section className={card} aria-label="Camera">
          <h2 className="text-[18px] font-bold">Camera</h2>
          <p className="mt-2 text-[15px]">
            {names?.camera
              ? 'Looks down at a bare card beside the printed target. Each picture is taken from a slightly different place.'
              : 'No camera is connected.'}
          </p>
          {names?.camera && (
            <p className="mt-3">
              <Link className="text-copper underline underline-offset-3" to="/library/trace">
                Take a picture at the tracing desk
              </Link>
            </p>
          )}
          {names?.camera && <LabelCamera />}
        </section>
        <section className={card} aria-label="Torque driver">
          <h2 className="text-[18px] font-bold">Torque driver</h2>
          <p className="mt-2 text-[15px]">
            Sends angle and torque while it turns. At the bench, on a screw of the Mount station, its panel lies under
            the step: turn right, too far, across the thread, or not at all, and see what the step says.
          </p>
        </section>
        <section className={card} aria-label="Logger and gauge">
          <h2 className="text-[18px] font-bold">Logger and pressure gauge</h2>
          <p className="mt-2 text-[15px]">
            At Prove of a job the stand-in runs that card’s own physics with noise, faster than the clock: sound, or
            with a fault to find. The gauge holds a loop in a room that warms. A file of any logger is dropped there, or
            piped in:
          </p>
          <pre
            className="scroll-thin mt-2 overflow-x-auto border border-rule bg-raised p-3 text-[13.5px] leading-snug"
            tabIndex={0}
          >{`curl --data-binary @log.csv -H 'Content-Type: text/csv' \\
  '${location.origin}/api/jobs/1/logs?by=QA&phase=after&name=log'`}</pre>
        </section>
        <section className={card} aria-label="A real device">
          <h2 className="text-[18px] font-bold">A real device</h2>
          <p className="mt-2 text-[15px]">
            Each device is one small interface in <code>src/Instruments</code>:
          </p>
          <pre
            className="scroll-thin mt-2 overflow-x-auto border border-rule bg-raised p-3 text-[13.5px] leading-snug"
            tabIndex={0}
          >{`ICaliper       IAsyncEnumerable<CaliperReading> Readings(…)
ITorqueDriver  IAsyncEnumerable<DriverSample> Samples(…)
ICamera        Task<byte[]> ShootAsync(…)
IBenchLogger   IAsyncEnumerable<LogRow> Rows(…)
IPressureGauge IAsyncEnumerable<PressureSample> Samples(…)`}</pre>
          <p className="mt-2 text-[15px]">
            Read the device’s port in a class of its own, yield what it sends, and register that class in{' '}
            <code>Program.cs</code> in place of the stand-in. Judging stays where it is.
          </p>
        </section>
      </div>
    </main>
  )
}

/** Jaws to set, a key to press, and what came out on the other side. */
function Caliper() {
  const [jaw, setJaw] = useState('1.20')
  const [sent, setSent] = useState<CaliperReading[]>([])
  const [fault, setFault] = useState<string>()
  useCaliper(true, (r) => setSent((list) => [r, ...list].slice(0, 5)))
  const press = async () => {
    try {
      setFault(undefined)
      await answer(http.POST('/api/instruments/caliper/press', { body: { widthMm: Number(jaw.replace(',', '.')) } }))
    } catch (e) {
      setFault((e as Error).message)
    }
  }
  return (
    <>
      <div className="mt-2 flex items-end gap-3">
        <label className="block text-[13.5px] text-soft">
          jaws closed on, mm
          <input
            value={jaw}
            inputMode="decimal"
            onChange={(e) => setJaw(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && void press()}
            className="num mt-0.5 block w-32 border border-rule bg-raised px-2 py-1.5 text-[22px] text-ink"
          />
        </label>
        <Button kind="go" onClick={() => void press()}>
          Send the reading
        </Button>
      </div>
      {fault && (
        <p role="alert" className="mt-2 text-plum">
          {fault}
        </p>
      )}
      <p className="mt-3 text-[13px] font-semibold text-soft">Arrived</p>
      <p className="num min-h-8 text-[22px]" aria-live="polite">
        {sent.length === 0 ? (
          <span className="text-soft">nothing yet</span>
        ) : (
          sent.map((r, i) => (
            <span key={i} className={`mr-4 ${i ? 'text-soft' : 'font-semibold'}`}>
              {mm(r.mm)} mm
            </span>
          ))
        )}
      </p>
    </>
  )
}
