import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const LIST = '300 g plain flour\n150 ml water\n\n300 g minced lamb\n2 onions, chopped'
const SPOKEN =
  'you need three hundred grams of plain flour and a hundred and fifty ml of water knead that for the filling take three hundred grams of minced lamb and two onions chopped mix it all up make twelve rounds put some filling on each and seal them bake at 200 for 20 minutes'
const titled = (title: string) => readRecipe(`${title}\n\n${LIST}`, foods).recipe.title
const spoken = (opening: string) => readRecipe(`${opening} ${SPOKEN}`, foods).recipe.title

/** What is said in front of a name, and behind it. */
const BEFORE = [
  "so today i'm making my",
  'okay guys so this is how I make my',
  'this is how my mum makes',
  'hi girls here is the recipe for the',
  'Hi Ana, here is the',
  'as promised,',
  'here you go:',
  "Tonight's dinner:",
  'I promised you my',
  'You asked how I make my',
  "Mum's recipe for",
  'Dear all, the',
] as const
const BEHIND = [
  'i brought on friday',
  'recipe as promised',
  'again tonight',
  'you liked',
  'people asked about',
] as const

describe('the name of a dish and the talk round it', () => {
  it.each(BEFORE)('%s …', (before) => {
    expect(titled(`${before} leek pasties`)).toBe('Leek pasties')
  })

  it.each(BEHIND)('… %s', (behind) => {
    expect(titled(`the leek pasties ${behind}`)).toBe('Leek pasties')
    expect(titled(`okay so these are the leek pasties ${behind}`)).toBe('Leek pasties')
  })

  it.each(["so today i'm making my", 'this is how my mum makes', 'ok so', 'for the', 'i promised you my'])(
    'in one breath: %s …',
    (before) => {
      expect(spoken(`${before} cheese boreks`)).toBe('Cheese boreks')
    },
  )

  it.each([
    'Leek pasties for a crowd',
    'Today & Tomorrow buns',
    'Well-filled pasties',
    'Andalusian pasties',
    'Sole turnovers',
    'Right royal pasties',
    'Reindeer pies',
  ])('%s: is a name as it stands', (title) => {
    expect(titled(title)).toBe(title)
  })

  it.each(['so basically', 'for the dough', 'for frying', 'ok guys'])('%s: names nothing', (opening) => {
    expect(spoken(opening)).toBe('Untitled recipe')
  })

  it('keeps what was said at length as a remark', () => {
    const said = 'Hi girls, here is the recipe for the leek pasties I brought on Friday'
    const { recipe } = readRecipe(`${said}\n\n${LIST}`, foods)
    expect(recipe.notes.map(({ text }) => text)).toContain(said)
  })
})
