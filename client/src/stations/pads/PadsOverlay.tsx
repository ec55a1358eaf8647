import { Callout } from '../../mat/Callout'
import { EdgePads } from '../../mat/EdgePads'
import { PadLayer } from '../../mat/PadLayer'
import { fixed, mm } from '../../ui/format'
import type { OverlayProps } from '../room'
import type { Slice } from './room'
import { SectionTool } from './SectionTool'

const words = { good: 'fills it', crushed: 'is crushed', starved: 'barely touches' }

/** Pads where they lie; the chosen one with its gap; the line of the section. */
export function PadsOverlay({ job, here, s, p, top, selected, select, own, big }: OverlayProps<Slice>) {
  const gap = here.gaps?.pairs.find((g) => g.part === selected)
  const pad = here.pads.find((x) => x.part === selected)
  const part = here.board.parts.find((x) => x.id === selected)
  const shown = big ? here.pads.filter((x) => s.step?.targets.includes(x.part)) : here.pads
  const state = pad?.fit?.state ?? 'starved'
  return (
    <>
      <PadLayer
        board={here.board}
        pads={shown}
        p={p}
        selected={selected}
        onPick={big ? undefined : select}
        lit={own.lit}
      />
      <EdgePads
        pieces={job.plan.pads.pieces.filter((x) => x.pair === here.pairKey && x.board === here.boardKey)}
        p={p}
      />
      {pad && gap && part && !big && (
        <Callout
          p={p}
          at={[part.x, part.y]}
          topMm={top}
          tone={state === 'good' ? 'cool' : 'plum'}
          text={`${pad.letter}: gap ${mm(gap.nominalMm)} mm, ${fixed(pad.thicknessMm, 1)} mm pad ${words[state]}`}
        />
      )}
      {own.active && (
        <SectionTool
          p={p}
          line={own.line}
          onLine={(l) => {
            own.setLine(l)
            own.setActive(false)
          }}
        />
      )}
      {!own.active && own.line && (
        <path
          d={`M${p.x(own.line.x1)} ${p.y(own.line.y1)}L${p.x(own.line.x2)} ${p.y(own.line.y2)}`}
          stroke="var(--copper)"
          strokeWidth={2.5}
          strokeDasharray="14 4 3 4"
        />
      )}
    </>
  )
}
