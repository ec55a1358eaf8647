import type { JobView, Schemas } from '../api/client'
import { identity } from '../mat/place'

/** What somebody looks at: one board of the order and, on it, one block. */
export interface Choice {
  board?: string
  pair?: string
}

/** One board with one block on it, and what every station says of the two: picked out of the job, nothing calculated. */
export interface Here {
  boardKey: string
  pairKey?: string
  board: Schemas['Board']
  block?: Schemas['Block']
  placement: Schemas['Placement']
  fit?: Schemas['FitResult']
  gaps?: Schemas['GapsResult']
  pads: Schemas['PlacedPad'][]
  seating?: Schemas['SeatingResult']
  rest?: Schemas['PairPads']
  faces: Schemas['PasteFace'][]
  tightening?: Schemas['TighteningResult']
  screws: Schemas['MountScrew'][]
  holes: Schemas['HoleRow'][]
  holeStage: Schemas['HoleStage']
  teardown?: Schemas['TeardownPlan']
  bestTeardown?: Schemas['TeardownPlan']
  assembly?: Schemas['Assembly']
  dryFit: Schemas['DryFitCheck'][]
  evidence: Schemas['PartEvidence'][]
  comparison?: Schemas['Comparison']
  runs?: Schemas['RepeatedRuns']
  trial?: Schemas['JobTrial']
  /** The processor in its socket, and what is planned for it. */
  seated?: Schemas['SeatedProcessor']
  seat?: Schemas['SeatPlan']
}

export function hereOf(job: JobView, choice: Choice): Here {
  const { order, plan } = job
  const piece = order.pieces.find((p) => p.key === choice.board) ?? order.pieces[0]
  const laid = (plan.match.order?.pairs ?? []).filter((p) => p.on.some((o) => o.board === piece.key))
  const pairFit = laid.find((p) => p.key === choice.pair) ?? laid[0]
  const pair = pairFit && order.pairs.find((p) => p.key === pairFit.key)
  const mine = (x: { pair: string; board: string }) => x.pair === pair?.key && x.board === piece.key
  const fit = pairFit?.on.find((o) => o.board === piece.key)?.fit
  const pads = plan.pads.pairs.find(mine)
  const mount = plan.mount.pairs.find(mine)
  const apart = plan.teardown.boards.find((b) => b.board === piece.key) ?? plan.teardown.boards[0]
  const names = new Set(pairFit?.plates.filter((p) => p.board === piece.key).map((p) => p.plate))
  return {
    boardKey: piece.key,
    pairKey: pair?.key,
    board: piece.board,
    block: pair && { ...pair.block, plates: pair.block.plates.filter((p) => names.has(p.id)) },
    placement: fit?.placement ?? identity,
    fit,
    gaps: pads?.gaps,
    pads: pads?.pads ?? [],
    seating: pads?.seating ?? undefined,
    rest: pads,
    faces: plan.paste.faces.filter(mine),
    tightening: mount?.tightening ?? undefined,
    screws: mount?.screws ?? [],
    holes: plan.mount.holes.find((h) => h.board === piece.key)?.rows ?? [],
    holeStage: job.holeStages.find((h) => h.board === piece.key)?.stage ?? 'stock',
    teardown: apart?.plan,
    bestTeardown: apart?.best ?? undefined,
    assembly: order.assembly ?? piece.board.assembly ?? undefined,
    dryFit: plan.prep.pairs.find(mine)?.dryFit ?? [],
    evidence: plan.evidence.find((e) => e.board === piece.key)?.parts ?? [],
    seated: piece.seated ?? undefined,
    seat: plan.seats.find(mine),
    runs: plan.prove.pairs.find(mine)?.runs ?? undefined,
    trial: plan.prove.pairs.find(mine)?.trial ?? undefined,
    comparison: (plan.prove.pairs.find(mine) ?? plan.prove.pairs[0])?.comparison,
  }
}

/** The query that asks a what-if of what is looked at. */
export const asked = (here: Here) => ({ pair: here.pairKey, board: here.boardKey })

export const troublesOf = (job: JobView) => job.plan.troubles.map((t) => t.text).join(' ')
