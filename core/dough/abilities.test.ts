import { describe, expect, it } from 'vitest'
import { reference, recipeOf } from '../../test/helpers'
import { evaluate } from '../evaluation/evaluate'
import type { CookingWay, Shape } from '../recipe/vocabulary'

const assess = (
  shell: readonly (readonly [string, number])[],
  shape: Shape = 'half-moon',
  way: CookingWay = 'bake',
) => evaluate({ ...recipeOf({ shell }, { way }), shape }, reference).abilities
const can = (found: ReturnType<typeof assess>, name: string) =>
  found.abilities.find((one) => one.name === name)!.can

const NOODLE = [
  ['plain-flour', 300],
  ['water', 150],
] as const
const SHORT = [
  ['plain-flour', 300],
  ['butter', 150],
  ['water', 60],
] as const
const ALMOND = [
  ['ground-almonds', 300],
  ['egg', 50],
  ['butter', 40],
] as const

describe('what a dough can do (common practice, no source)', () => {
  it('is 1 for plain flour and water, and more with gluten', () => {
    expect(assess(NOODLE).strength).toBeCloseTo(1, 9)
    expect(
      assess([
        ['strong-flour', 300],
        ['water', 180],
      ]).strength!,
    ).toBeGreaterThan(1)
    expect(
      assess([
        ['plain-flour', 270],
        ['vital-wheat-gluten', 30],
        ['water', 190],
      ]).strength,
    ).toBeCloseTo((270 + 5 * 30) / 300, 9)
  })

  it('a dumpling dough pleats, coils and is boiled', () => {
    const found = assess(NOODLE, 'half-moon', 'boil')
    for (const name of ['roll thin', 'pleat', 'coil', 'be boiled', 'crimp'])
      expect(can(found, name), name).toBe(true)
    expect(found.lacks).toEqual([])
  })

  it('a short dough is pressed and crimped, not stretched or boiled', () => {
    const found = assess(SHORT)
    expect(can(found, 'crimp')).toBe(true)
    expect(can(found, 'stretch')).toBe(false)
    expect(found.lacks).toEqual([])
    const boiled = assess(SHORT, 'half-moon', 'boil')
    expect(can(boiled, 'be boiled')).toBe(false)
  })

  it('an almond dough has no strength: a lid will do, a coil will not, and it says which figure fails', () => {
    expect(
      assess(ALMOND, 'coil')
        .lacks.map((one) => one.text)
        .join(),
    ).toMatch(/Too weak: strength 0\.0\d, 0\.55 is asked, for a coil is pulled out and wound/)
    expect(assess(ALMOND, 'coil').lacks[0]!.source).toMatch(/common practice/)
  })

  it('psyllium, scalding and melted cheese stand in for gluten', () => {
    const bare = assess([
      ['buckwheat-flour', 300],
      ['water', 240],
    ]).strength!
    const bound = assess([
      ['buckwheat-flour', 285],
      ['psyllium-husk', 15],
      ['water', 330],
    ]).strength!
    expect(bound).toBeGreaterThan(bare + 0.4)
    expect(
      assess([
        ['glutinous-rice-flour~scalded', 200],
        ['tapioca-starch~scalded', 100],
        ['water', 270],
      ]).strength!,
    ).toBeGreaterThan(0.6)
    expect(
      assess([
        ['glutinous-rice-flour', 200],
        ['tapioca-starch', 100],
        ['water', 270],
      ]).strength!,
    ).toBeLessThan(0.2)
    expect(
      assess([
        ['ground-almonds', 150],
        ['mozzarella', 200],
      ]).strength!,
    ).toBeGreaterThan(0.4)
  })

  it('a soft dough drinks oil: it may be griddled and not fried', () => {
    const soft = [
      ['atta', 125],
      ['yogurt', 122],
      ['sunflower-oil', 9],
    ] as const
    expect(assess(soft, 'disc', 'griddle').lacks).toEqual([])
    expect(
      assess(soft, 'disc', 'deep-fry')
        .lacks.map((one) => one.text)
        .join(),
    ).toMatch(/Too soft/)
  })

  it('says nothing of bought dough', () => {
    expect(assess([['puff-pastry', 320]])).toEqual({
      strength: null,
      springs: null,
      family: 'bought',
      abilities: [],
      lacks: [],
    })
  })
})
