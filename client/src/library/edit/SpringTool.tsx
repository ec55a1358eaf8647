import { useState } from 'react'
import { fetched, type Schemas, told } from '../../api/client'
import { Section } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { FigureField, figureOf as figure } from '../../ui/FigureField'
import { fixed } from '../../ui/format'
import type { Editor } from './useEditor'

/** The spring of the chosen screws from its lengths under two weights. */
export function SpringTool({ editor, screws }: { editor: Editor; screws: string[] }) {
  const [said, setSaid] = useState({ m1: '', l1: '', m2: '', l2: '', home: '' })
  const [spring, setSpring] = useState<Schemas['MeasuredSpring']>()
  const [fault, setFault] = useState<string>()
  const field = (k: keyof typeof said, label: string) => (
    <FigureField
      label={label}
      value={said[k]}
      onChange={(text) => {
        setSaid({ ...said, [k]: text })
        setSpring(undefined)
      }}
    />
  )
  const calculate = async () => {
    setFault(undefined)
    try {
      setSpring(
        await fetched<Schemas['MeasuredSpring']>('/api/compute/spring', {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({
            readings: [
              { massG: figure(said.m1), lengthMm: figure(said.l1) },
              { massG: figure(said.m2), lengthMm: figure(said.l2) },
            ],
            ...(said.home ? { homeMm: figure(said.home) } : {}),
          }),
        }),
      )
    } catch (e) {
      setFault(told(e))
    }
  }
  const take = (s: Schemas['MeasuredSpring']) =>
    editor.apply(
      screws.flatMap((at) => [
        { do: 'set' as const, at: `${at}/spring`, value: { rateNPerMm: s.rateNPerMm, travelMm: s.travelMm } },
        { do: 'set' as const, at: `${at}/springUnknown`, value: null },
      ]),
      () => screws,
    )
  return (
    <Section title="Its spring, by weighing">
      <p className="text-[14px] leading-snug text-soft">
        Stand the spring on a scale, press it with a ruler beside it, and note weight and length twice; 0 g is its free
        length.
      </p>
      <div className="mt-1.5 grid grid-cols-2 gap-2">
        {field('m1', 'first weight, g')}
        {field('l1', 'length under it, mm')}
        {field('m2', 'second weight, g')}
        {field('l2', 'length under it then, mm')}
        {field('home', 'length with the screw home, mm')}
      </div>
      {fault && (
        <p role="alert" className="mt-1 text-plum">
          {fault}
        </p>
      )}
      {spring && (
        <p className="mt-1.5 text-[16px]">
          <b className="num">{fixed(spring.rateNPerMm, 2)}</b> ± {fixed(spring.rateTolNPerMm, 2)} N/mm, free{' '}
          {fixed(spring.freeMm, 2)} mm
          {spring.travelMm != null && `, ${fixed(spring.travelMm, 2)} mm pressed at home`}
        </p>
      )}
      <div className="mt-2 flex gap-2">
        <Button onClick={() => void calculate()}>Calculate the rate</Button>
        {spring?.travelMm != null && (
          <Button kind="go" onClick={() => void take(spring)}>
            Take it for {screws.length} {screws.length === 1 ? 'screw' : 'screws'}
          </Button>
        )}
      </div>
    </Section>
  )
}
