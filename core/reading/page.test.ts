import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { saysNothing } from './page'
import { readRecipe } from './readRecipe'

describe('what a page or a speaker puts round a recipe', () => {
  it.each([
    'Jump to Recipe Print Recipe',
    'Print · Save',
    'Save this recipe for later',
    'Leave a comment below',
    'Shop now',
    "Enjoy! Don't forget to like and subscribe.",
    'Please like, share and subscribe for more',
    'Thanks for watching, see you next week',
    'Happy baking, everyone!',
    'Let me know how yours turned out',
  ])('"%s" says nothing of the dish', (text) => {
    expect(saysNothing(text).noise).toBe(true)
  })

  it.each([
    'Save the scraps for the lids.',
    'Share the cheese between the rounds.',
    'Watch the edges, they burn first.',
    'Get the oil hot.',
    'Skip the resting if you are in a hurry.',
    'Leave the dough here for 10 minutes.',
    'Tap off the flour.',
    'Follow the folds with a fork.',
    'Rate of boiling: gentle.',
    'If you like it hot, add a chilli.',
    'Enjoy warm with yogurt.',
  ])('"%s" is work', (text) => {
    expect(saysNothing(text).noise).toBe(false)
  })

  it('takes no step away with it, nor what stands behind', () => {
    const { recipe } = readRecipe(
      `Cheese pasties

300 g shortcrust pastry
200 g cheddar

1. Save a little of the cheese for the top.
2. Share the rest between 8 rounds of pastry and fold.
3. Get the oven to 200C.
4. Bake for 20 minutes.
Enjoy! Don't forget to subscribe.`,
      foods,
    )
    expect(recipe.method).toHaveLength(4)
    expect(recipe.cooking).toMatchObject({ way: 'bake', temperatureC: 200, minutes: 20 })
  })
})
