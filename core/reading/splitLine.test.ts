import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { splitLine } from './splitLine'

describe('splitLine', () => {
  it.each([
    ['1 egg beaten with 1 tbsp milk', ['1 egg, beaten', '1 tbsp milk']],
    ['2 eggs plus 1 yolk', ['2 eggs', '1 yolk']],
    ['salt and pepper to taste', ['salt to taste', 'pepper to taste']],
    ['1 tsp each cumin and ground coriander', ['1 tsp cumin', '1 tsp ground coriander']],
    ['1 onion, 2 carrots and 1 stick of celery', ['1 onion', '2 carrots', '1 stick of celery']],
    ['1 egg + 1 tbsp milk, to glaze', ['1 egg, to glaze', '1 tbsp milk, to glaze']],
  ])('parts "%s"', (raw, lines) => {
    expect(splitLine(raw, foods).map((part) => part.text)).toEqual(lines)
  })

  it.each([
    '1 cup plus 2 tbsp flour',
    '1 kg and 100 g flour',
    '500 g flour',
    'salt',
    '1 carrot, 2 cm dice',
    '2 eggs, beaten',
    '2 tbsp butter, margarine or lard',
    'thyme, rosemary or sage',
    '150 g cheese, cheddar',
    '1 leek finely sliced and salted then squeezed out',
    '300 g cabbage shredded and then salted',
    '500 g potatoes boiled and then mashed',
    '1 onion fried then cooled',
  ])('leaves "%s" whole', (raw) => {
    expect(splitLine(raw, foods)).toEqual([{ text: raw, told: '' }])
  })

  it.each([
    ['100 g ham and cheese', ['50 g ham', '50 g cheese']],
    ['½ tsp each salt and pepper', ['½ tsp salt', '½ tsp pepper']],
    ['salt, pepper and chilli powder', ['salt', 'pepper', 'chilli powder']],
    ['ginger and garlic paste', ['ginger', 'garlic paste']],
    ['zest and juice of 1 lemon', ['zest of 1 lemon', 'juice of 1 lemon']],
    ['2 parts soy drink to 1 part syrup', ['2 parts soy drink', '1 part syrup']],
    ['150 g butter 1 egg 2 tbsp water', ['150 g butter', '1 egg', '2 tbsp water']],
    ['1 leek, ginger', ['1 leek', 'ginger']],
    ['6 oz butter/lard mix, cold water', ['3 oz butter', '3 oz lard', 'cold water']],
    ['2 carrots, garlic, salt', ['2 carrots', 'garlic', 'salt']],
    ['1 egg yolk, sesame or nigella seeds', ['1 egg yolk', 'sesame or nigella seeds']],
    ['1 onion, parsley or coriander', ['1 onion', 'parsley or coriander']],
    ['1 tbsp flour mixed with 2 tbsp water (paste)', ['1 tbsp flour, to seal', '2 tbsp water, to seal']],
    ['1 tbsp flour + water paste', ['1 tbsp flour, to seal (a paste with water)']],
    ['four potatoes half cup peas, 1 tsp salt', ['four potatoes', 'half cup peas', '1 tsp salt']],
  ])('parts the foods of "%s"', (raw, lines) => {
    expect(splitLine(raw, foods).map((part) => part.text)).toEqual(lines)
  })

  it.each(['ham and cheese', 'salt & pepper', '1 egg plus 1 yolk', 'onion, finely chopped and fried'])(
    'loses no word of "%s"',
    (raw) => {
      const said = splitLine(raw, foods)
        .map((part) => part.text)
        .join(' ')
      for (const word of raw.match(/\p{L}{3,}/gu)!)
        if (!/^(?:and|plus)$/.test(word)) expect(said).toContain(word)
    },
  )

  it('says that an amount was shared out', () => {
    expect(splitLine('100 g ham and cheese', foods).every((part) => part.told !== '')).toBe(true)
    expect(splitLine('1 egg + 1 tbsp milk', foods).every((part) => part.told === '')).toBe(true)
  })
})
