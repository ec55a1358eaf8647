import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { fixed } from '../../ui/format'
import type { Here } from '../here'
import { Section } from '../Ledger'

const stages: [Schemas['HoleStage'], string][] = [
  ['stock', 'stock'],
  ['stripped', 'stripped'],
  ['block', 'block on'],
  ['back-plate', 'back plate on'],
]

/** What sits in every hole at each stage, and which lengths belong there. */
export function HoleTable({ here, select }: { here: Here; select: (id?: string) => void }) {
  const now = here.holeStage
  const [stage, setStage] = useState(now)
  const troubles = here.holes.filter((h) => h.trouble)
  return (
    <Section title={`Hole ledger, ${here.holes.length} holes`}>
      {troubles.map((h) => (
        <p key={h.hole} className="my-1 border-l-4 border-plum pl-2 text-[14.5px] leading-snug text-plum">
          {h.hole}: {h.trouble}
        </p>
      ))}
      <div className="flex gap-1" role="group" aria-label="Stage">
        {stages.map(([id, name]) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === stage}
            onClick={() => setStage(id)}
            className={`flex-1 rounded-[3px] border px-1 py-1 text-[13.5px] ${id === stage ? 'border-copper bg-copper-wash font-semibold' : 'border-rule bg-raised'}`}
          >
            {name}
            {id === now ? ', now' : ''}
          </button>
        ))}
      </div>
      <table className="mt-1.5 w-full text-[14px]">
        <thead className="text-[13px] text-soft">
          <tr>
            <th scope="col" className="text-left font-normal">
              hole
            </th>
            <th scope="col" className="text-left font-normal">
              what sits in it
            </th>
            <th scope="col" className="text-right font-normal">
              mm
            </th>
          </tr>
        </thead>
        <tbody>
          {here.holes.map((h) => {
            const what = h.stages.find((x) => x.stage === stage)!.what
            return (
              <tr key={h.hole} className={`border-b border-rule/60 align-top ${h.trouble ? 'text-plum' : ''}`}>
                <td className="py-0.5 pr-1">
                  <button type="button" className="font-semibold" onClick={() => select(h.hole)}>
                    {h.hole}
                  </button>
                </td>
                <td className={what.startsWith('empty') ? 'text-soft' : ''}>
                  {what}
                  {stage !== 'stock' && !what.startsWith('empty') && h.washer ? (
                    <span className="block text-soft">{h.washer}</span>
                  ) : null}
                </td>
                <td className="num whitespace-nowrap text-right text-[15px]">
                  {h.longestMm != null ? `${fixed(h.shortestMm, 1)}–${fixed(h.longestMm, 1)}` : ''}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-soft">mm: screw lengths that hold two threads and do not bottom.</p>
    </Section>
  )
}
