import { Button } from '../../ui/Button'
import { fixed, mm } from '../../ui/format'
import { Row, Section, Why } from '../Ledger'
import type { RoomProps } from '../room'

/** A load as a range where its height has a tolerance. */
const range = (at: number, low: number, high: number) =>
  high - low > 1 ? `${low.toFixed(0)} to ${high.toFixed(0)}` : at.toFixed(0)

/** What a socket adds to the verdict: heights, loads, turns to choose from, lid on or off. */
export function SeatMatch({ here, s }: RoomProps) {
  const { seat, seated } = here
  if (!seat || !seated) return null
  const m = seat.match
  const choose = (change: { turnDeg?: number | null; bare?: boolean }) =>
    s.changes.change.mutate(
      {
        seat: {
          processorId: seated.processor.id,
          on: here.boardKey,
          bare: seated.bare,
          turnDeg: seated.turnDeg,
          ...change,
        },
      },
      { onError: s.refuse },
    )
  return (
    <>
      <Section title="Heights above the mainboard">
        <Row
          name={seated.bare ? 'top of the die' : 'top of the lid'}
          value={seat.contactTolMm > 0 ? `${mm(m.contactMm)} ± ${mm(seat.contactTolMm)}` : mm(m.contactMm)}
          unit="mm"
        />
        <Row name="block at home" value={mm(m.homeMm)} unit="mm" />
        {m.stopGapMm != null && (
          <Row
            name="room over the stops"
            value={mm(m.stopGapMm)}
            unit="mm"
            tone={m.stopGapMm < 0 ? 'text-plum' : undefined}
          />
        )}
        {m.reasons.some((r) => r.code === 'shim') && (
          <Row name="washers under the springs" value={mm(m.shimMm)} unit="mm" />
        )}
      </Section>
      <Section title="Loads">
        <Row
          name={seated.bare ? 'on the dies' : 'on the lid'}
          value={range(m.loadN, seat.loadLowN, seat.loadHighN)}
          unit="N"
        />
        <Row
          name={`on the contacts, they want ${seated.socket.contactMinN} to ${seated.socket.contactMaxN}`}
          value={m.socketLoadN.toFixed(0)}
          unit="N"
        />
        <Row name="highest pressure" value={fixed(m.peakMPa, 2)} unit="MPa" />
      </Section>
      {m.orientations.length > 1 && (
        <Section title="Turned, the posts stay">
          <div className="grid grid-cols-2 gap-1.5" role="group" aria-label="Turns">
            {m.orientations.map((o) => (
              <button
                type="button"
                key={o.rotationDeg}
                aria-pressed={o.rotationDeg === seat.turnDeg}
                disabled={s.changes.change.isPending}
                onClick={() => choose({ turnDeg: o.rotationDeg })}
                className={`min-h-11 border px-2 py-1 text-left leading-tight ${o.rotationDeg === seat.turnDeg ? 'border-copper bg-copper-wash' : 'border-rule bg-raised'}`}
              >
                <b className="num text-[17px]">{o.rotationDeg}°</b>
                <span className={`block text-[13px] ${o.clashes.length ? 'text-plum' : 'text-soft'}`}>
                  {o.clashes.length
                    ? `meets ${o.clashes[0].part}`
                    : seat.inletTurnDeg === o.rotationDeg
                      ? 'inlet over the hot dies'
                      : o.best
                        ? 'cools best'
                        : 'free'}
                </span>
              </button>
            ))}
          </div>
        </Section>
      )}
      <Decision here={here} busy={s.changes.change.isPending} choose={(bare) => choose({ bare })} />
    </>
  )
}

/** Both ways to scale, the gain as a range, and the way back before anything is opened. */
function Decision({ here, busy, choose }: { here: RoomProps['here']; busy: boolean; choose: (bare: boolean) => void }) {
  const { seat, seated } = here
  const d = seat?.decision
  const bare = seated!.bare
  return (
    <Section title="Lid on or lid off">
      {d ? (
        <>
          <p className="text-[21px] font-bold leading-tight">
            {bare ? 'Lid off' : 'Lid off would be'} {d.answer.gainK.toFixed(0)} K cooler
          </p>
          <p className="text-[14px] leading-snug text-soft">
            {d.answer.gainLowK.toFixed(0)} to {d.answer.gainHighK.toFixed(0)} K at {d.powerW.toFixed(0)} W and{' '}
            {d.flowLPerMin} L/min; {d.answer.hottest} is the hottest.
            {d.answer.moreW != null && ` Or ${d.answer.moreW.toFixed(0)} W more at the same temperature.`}
          </p>
          {seat.worth && (
            <Row name="worth of the processor" value={seat.worth.amount.toFixed(0)} unit={seat.worth.currency} />
          )}
          {bare && d.answer.dies.length > 0 && (
            <table className="w-full text-[14.5px]">
              <thead className="text-left text-[13px] text-soft">
                <tr>
                  <th className="font-normal" scope="col">
                    die
                  </th>
                  <th className="num text-right font-normal" scope="col">
                    load N
                  </th>
                  <th className="num text-right font-normal" scope="col">
                    MPa, least to most
                  </th>
                </tr>
              </thead>
              <tbody>
                {d.answer.dies.map((x) => (
                  <tr key={x.part} className={`border-b border-rule/60 ${x.lifts ? 'text-plum' : ''}`}>
                    <td>
                      {x.part}
                      {x.lifts && ', lifts'}
                    </td>
                    <td className="num text-right text-[16px]">{x.loadN.toFixed(0)}</td>
                    <td className="num text-right text-[16px]">
                      {fixed(x.minMPa, 2)} to {fixed(x.peakMPa, 2)}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {bare && <Row name="load off the dies' middle by" value={fixed(d.answer.loadToAreaMm, 1)} unit="mm" />}
          {[...d.answer.refusals, ...d.answer.warnings].map((w) => (
            <Why key={w.code + w.text} tone={d.answer.refusals.includes(w) ? 'text-amber' : ''}>
              {w.text}
            </Why>
          ))}
        </>
      ) : (
        <p className="text-[14.5px] text-soft">{seat?.noDecision}</p>
      )}
      <Button className="mt-2" disabled={busy} onClick={() => choose(!bare)}>
        {bare ? 'Plan it with its lid' : 'Plan it with the lid off'}
      </Button>
    </Section>
  )
}
