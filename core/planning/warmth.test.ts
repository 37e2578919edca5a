import { describe, expect, it } from 'vitest'
import {
  coolingConstant,
  coolingMinutes,
  ovenMinutes,
  potMinutes,
  riseMinutes,
  spreadInFridge,
} from './warmth'

describe('how fillings cool', () => {
  it('by Newton’s law: each time constant takes the difference down to its 1/e', () => {
    const fridge = { depthMm: 15, airC: 4 }
    const constant = coolingConstant(fridge)
    expect(coolingMinutes(84, 4 + 80 / Math.E, fridge)).toBeCloseTo(constant, 6)
    expect(coolingMinutes(84, 44, fridge) + coolingMinutes(44, 24, fridge)).toBeCloseTo(
      coolingMinutes(84, 24, fridge),
      6,
    )
  })

  it('never below the air around them, and at once where they are cold already', () => {
    expect(coolingMinutes(85, 20, { depthMm: 15, airC: 20 })).toBe(Infinity)
    expect(coolingMinutes(15, 25, { depthMm: 15, airC: 4 })).toBe(0)
  })

  it('as a worked example: 12 mm, 3.7 J/(ml K), 25 W/(m² K) and half the layer', () => {
    // 3.7e6 × 0.012 × (1/25 + 0.012/1.5) s = 2131 s.
    expect(coolingConstant({ depthMm: 12, airC: 4 })).toBeCloseTo(2131.2 / 60, 3)
  })

  it('deeper and slower where there is more of them', () => {
    expect(spreadInFridge(600).depthMm).toBe(12)
    expect(spreadInFridge(6000).depthMm).toBeGreaterThan(40)
    expect(coolingMinutes(85, 25, spreadInFridge(6000))).toBeGreaterThan(
      3 * coolingMinutes(85, 25, spreadInFridge(600)),
    )
  })
})

describe('how long it takes to be hot', () => {
  it('water by its heat: 3 l from 15 to 100 °C over 2000 W, of which half arrives', () => {
    // 3 × 4.19 × 85 kJ = 1068 kJ at 1 kW.
    expect(potMinutes('water', 3, 100, 15, 2000)).toBeCloseTo(1068.45 / 60, 2)
    expect(potMinutes('water', 3, 100, 15, 4000)).toBeCloseTo(1068.45 / 120, 2)
  })
  it('oil sooner than water, an oven of 180 °C about a quarter of an hour', () => {
    expect(potMinutes('oil', 1.5, 175, 20, 2000)).toBeLessThan(potMinutes('water', 1.5, 175, 20, 2000))
    expect(ovenMinutes(180, 20)).toBeGreaterThan(12)
    expect(ovenMinutes(180, 20)).toBeLessThan(18)
  })
  it('a rise twice as long for 9 °C less', () => {
    expect(riseMinutes(90, 26)).toBe(90)
    expect(riseMinutes(90, 17)).toBe(180)
    expect(riseMinutes(90, 35)).toBe(45)
  })
})
