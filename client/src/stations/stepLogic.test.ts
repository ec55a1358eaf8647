import { describe, expect, it } from 'vitest'
import type { Parcel } from '../api/outbox'
import { keptSigns, lastSigned, nextOpen, offlineRefusal, type Signed, signedSteps } from './stepLogic'

const steps = ['a', 'b', 'c', 'd'].map((id) => ({ id }))
const by = (lookAgain = false): Signed => ({ by: 'QA', at: '2026-11-25T10:00:00Z', lookAgain, changed: [] })
const signed = (...ids: string[]) => new Map(ids.map((id) => [id, by()]))
const parcel = (kind: 'sign' | 'undo', stepId: string, together?: string[]): Parcel => ({
  key: `${kind}-${stepId}`,
  jobId: 1,
  stepId,
  title: stepId,
  kind,
  by: 'RV',
  version: 0,
  doneAt: '2026-11-25T11:00:00Z',
  together,
})

describe('the next step', () => {
  it('is the first that nobody signed', () => expect(nextOpen(steps, signed('a', 'b'))).toBe(2))
  it('is one whose ground has changed, before one never signed', () =>
    expect(nextOpen(steps, new Map([...signed('a', 'b'), ['a', by(true)]]))).toBe(0))
  it('is the last when all stand', () => expect(nextOpen(steps, signed('a', 'b', 'c', 'd'))).toBe(3))
  it('is none of none', () => expect(nextOpen([], new Map())).toBe(0))
})

describe('what Back takes back', () => {
  it('is the step looked at when it is signed', () => expect(lastSigned(steps, signed('a', 'b'), 1)?.id).toBe('b'))
  it('is the last signed before an open one', () => expect(lastSigned(steps, signed('a', 'b'), 3)?.id).toBe('b'))
  it('is nothing before the first', () => expect(lastSigned(steps, signed('c'), 1)).toBeUndefined())
})

describe('what waits on this device', () => {
  it('counts as signed, by whom pressed', () =>
    expect(keptSigns(signed('a'), [parcel('sign', 'b')]).get('b')?.by).toBe('RV'))
  it('takes a step back with those that rest on it', () =>
    expect([...keptSigns(signed('a', 'b', 'c'), [parcel('undo', 'b', ['c'])]).keys()]).toEqual(['a']))
  it('is read in the order of pressing', () => {
    expect(keptSigns(new Map(), [parcel('sign', 'a'), parcel('undo', 'a')]).size).toBe(0)
    expect(keptSigns(signed('a'), [parcel('undo', 'a'), parcel('sign', 'a')]).get('a')?.by).toBe('RV')
  })
  it('leaves what the shop knows as it was', () => {
    const known = signed('a')
    keptSigns(known, [parcel('undo', 'a')])
    expect(known.has('a')).toBe(true)
  })
})

describe('without the network', () => {
  const step = { count: 6, locks: ['a', 'b'] }
  it('a count that is short is refused with both numbers', () =>
    expect(offlineRefusal(step, 5, signed('a', 'b'))?.message).toContain('5 of 6'))
  it('a lock that is open is refused and named', () =>
    expect(offlineRefusal(step, 6, signed('a'))?.waitsFor).toEqual(['b']))
  it('a step with all counted and all open is let through', () =>
    expect(offlineRefusal(step, 6, signed('a', 'b'))).toBeNull())
})

it('only signatures that stand are signatures', () =>
  expect([
    ...signedSteps([
      { stepId: 'a', signed: true, by: 'QA', at: 'now', lookAgain: true, changed: ['the block'] },
      { stepId: 'b', signed: false, lookAgain: false, changed: [] },
    ]),
  ]).toEqual([['a', { by: 'QA', at: 'now', lookAgain: true, changed: ['the block'] }]]))
