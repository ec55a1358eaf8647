import { useState } from 'react'
import { fetched, type Schemas, told } from '../api/client'
import { Button } from '../ui/Button'
import { FigureField, figureOf as figure } from '../ui/FigureField'

/** A material's curve from what is left of a piece under weights that are known. */
export function Weighed({ onCurve }: { onCurve: (curve: number[][]) => void }) {
  const [said, setSaid] = useState({ thickness: '', area: '', m1: '', t1: '', m2: '', t2: '' })
  const [fault, setFault] = useState<string>()
  const calculate = async () => {
    setFault(undefined)
    try {
      const { curve } = await fetched<Schemas['PadCurve']>('/api/compute/pad-curve', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({
          thicknessMm: figure(said.thickness),
          areaMm2: figure(said.area),
          readings: [
            { massG: figure(said.m1), leftMm: figure(said.t1) },
            { massG: figure(said.m2), leftMm: figure(said.t2) },
          ],
        }),
      })
      onCurve(curve as number[][])
    } catch (e) {
      setFault(told(e))
    }
  }
  const field = (k: keyof typeof said, label: string) => (
    <FigureField label={label} value={said[k]} onChange={(text) => setSaid({ ...said, [k]: text })} />
  )
  return (
    <details className="mt-3 border-t border-rule pt-2">
      <summary className="cursor-pointer text-copper">No curve: weigh a piece</summary>
      <p className="mt-1 text-[14px] leading-snug text-soft">
        Lay a piece between two plates, put a known weight on it, wait five minutes, measure what is left; then a
        heavier one.
      </p>
      <div className="mt-1.5 grid grid-cols-2 gap-2">
        {field('thickness', 'thickness unpressed, mm')}
        {field('area', 'area of the piece, mm²')}
        {field('m1', 'first weight, g')}
        {field('t1', 'left under it, mm')}
        {field('m2', 'second weight, g')}
        {field('t2', 'left under it then, mm')}
      </div>
      {fault && <p className="mt-1 text-plum">{fault}</p>}
      <Button className="mt-2" onClick={() => void calculate()}>
        Calculate the curve
      </Button>
    </details>
  )
}
