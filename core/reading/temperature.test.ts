import { describe, expect, it } from 'vitest'
import { temperatureIn } from './temperature'

describe('temperatures', () => {
  it.each([
    ['bake at 180 °C for 30 minutes', 180],
    ['bake at 180C for 20 to 30 min', 180],
    ['175 degrees for 20 min', 175],
    ['bake at 175 degrees', 175],
    ['180 degrees Celsius', 180],
    ['180 degrees centigrade', 180],
    ['bake at 350 °F', 175],
    ['Bake at 400 degrees F', 205],
    ['bake at 350', 175],
    ['bake at 220', 220],
    ['oven 200C/180C fan/gas 6', 200],
    ['190°C/375°F', 190],
    ['375F (190C)', 190],
    ['gas mark 6', 200],
    ['gas 4', 180],
    ['oil at 170-180 °C', 175],
    ['bake at 999 C', null],
    ['add 200 g of flour', null],
    ['rest for 30 minutes', null],
  ])('reads "%s" as %s °C', (text, celsius) => {
    expect(temperatureIn(text)?.celsius ?? null).toBe(celsius)
  })
  it('says when only a fan oven is given', () => {
    expect(temperatureIn('bake at 180 °C fan')).toEqual({ celsius: 180, fan: true })
    expect(temperatureIn('200C/180C fan')).toEqual({ celsius: 200, fan: false })
  })
})
