// "Vegan gouda": of which plants it is made nobody says, and the larder has no such food. What stands for its whole group
// is taken, and that is said.

/** The name of what is made of plants in place of an animal food of a group. Common practice, no source. */
const IN_PLACE_OF: Readonly<Record<string, string>> = {
  'melting-cheese': 'vegan cheese',
  'hard-cheese': 'vegan parmesan',
  'brined-cheese': 'vegan feta',
  'firm-fresh-cheese': 'vegan feta',
  'fresh-cheese': 'vegan cream cheese',
  cream: 'vegan cream',
  milk: 'vegan milk',
  yogurt: 'vegan yogurt',
  'minced-meat': 'vegan mince',
  meat: 'vegan meat',
  poultry: 'vegan chicken',
  fish: 'vegan fish',
  shellfish: 'vegan fish',
  egg: 'plant based egg',
}
/** Cured meat that is eaten in strips or slices; any other is a sausage. */
const IN_STRIPS = /bacon|ham|pork|prosciutto|pastrami|beef/i

/**
 * The name under which the larder has what is made of plants in place of a food, or null where it has none.
 *
 * @param group of the animal food
 * @param id of the animal food
 */
export function madeOfPlants(group: string, id: string): string | null {
  if (group === 'cured-meat') return IN_STRIPS.test(id) ? 'vegan bacon' : 'vegan sausage'
  return IN_PLACE_OF[group] ?? null
}
