import { describe, expect, it } from 'vitest'
import { keptRequest } from '~~/shared/api/copies'
import { keptHere, takeOver } from './keptHere'

const storageOf = (values: Record<string, string>) => {
  const held = new Map(Object.entries(values))
  return {
    held,
    getItem: (key: string) => held.get(key) ?? null,
    setItem: (key: string, value: string) => void held.set(key, value),
  }
}

describe('what a browser keeps for itself', () => {
  const now = new Date('2026-11-26T20:00:00Z')

  it('goes out and comes back the same, and nothing else with it', () => {
    const here = storageOf({
      'swap-pocket:guests': '[{"id":"a"}]',
      'swap-pocket:cookware': '[]',
      'swap-pocket:paste': 'half a recipe',
      other: 'not ours',
    })
    const kept = keptHere(here, now, 1280)
    expect(kept.kind).toBe('computer')
    expect(keptRequest.parse(kept)).toEqual(kept)
    expect(Object.keys(kept.kept)).toEqual(['swap-pocket:guests', 'swap-pocket:cookware'])
    const there = storageOf({})
    takeOver(kept, there)
    expect([...there.held]).toEqual(Object.entries(kept.kept))
  })

  it('is told from what another browser keeps, each by its own id', () => {
    const [laptop, phone] = [storageOf({}), storageOf({})]
    const first = keptHere(laptop, now, 1280)
    expect(keptHere(laptop, now, 1280).id).toBe(first.id)
    expect(keptHere(phone, now, 390)).toMatchObject({ kind: 'phone' })
    expect(keptHere(phone, now, 390).id).not.toBe(first.id)
  })

  it('takes no name that is not ours from a file', () => {
    const there = storageOf({})
    const taken = takeOver({ kept: { 'swap-pocket:paste': 'x', evil: 'y' } }, there)
    expect(taken).toEqual([])
    expect(there.held.size).toBe(0)
  })

  it('leaves out what is too long to be kept', () => {
    expect(keptHere(storageOf({ 'swap-pocket:guests': 'x'.repeat(500_001) }), now, 390).kept).toEqual({})
  })
})
