import { describe, expect, it } from 'vitest'
import { isCopyName, lastNight } from './copies'

describe('the copy of the night', () => {
  it('is due at three, local time', () => {
    expect(lastNight(new Date(2026, 10, 26, 2, 59)).getTime()).toBe(new Date(2026, 10, 25, 3).getTime())
    expect(lastNight(new Date(2026, 10, 26, 3, 0)).getTime()).toBe(new Date(2026, 10, 26, 3).getTime())
    expect(lastNight(new Date(2026, 10, 26, 23, 0)).getTime()).toBe(new Date(2026, 10, 26, 3).getTime())
  })

  it('has a name that leads nowhere else', () => {
    expect(isCopyName('night-2026-11-26T02-00-00-000Z.swappocket')).toBe(true)
    for (const name of [
      '../x.swappocket',
      'night-2026.swappocket',
      '/etc/passwd',
      'night-2026-11-26T02-00-00-000Z.swappocket/..',
    ])
      expect(isCopyName(name), name).toBe(false)
  })
})
