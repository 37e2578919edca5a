import type { FoodGroup } from '../food/groups'

/** Parts of a shop, in the order in which one walks through it. */
export const SECTIONS = [
  'Fruit, vegetables and herbs',
  'Meat and fish',
  'Milk, cheese and eggs',
  'Tofu and plant food, chilled',
  'Chilled and frozen dough',
  'Flour and baking',
  'Pulses, grains and tins',
  'Nuts, seeds and dried fruit',
  'Oil and fat',
  'Sauces, stock and drinks',
  'Spices and salt',
  'Somewhere else',
] as const
export type Section = (typeof SECTIONS)[number]

const GREENGROCER = SECTIONS[0]
const BUTCHER = SECTIONS[1]
const DAIRY = SECTIONS[2]
const PLANTS = SECTIONS[3]
const DOUGH = SECTIONS[4]
const BAKING = SECTIONS[5]
const DRY = SECTIONS[6]
const NUTS = SECTIONS[7]
const FAT = SECTIONS[8]
const SAUCES = SECTIONS[9]
const SPICES = SECTIONS[10]

/** Where a group of foods is found. Common practice, no source. */
const SECTION_OF: Readonly<Record<FoodGroup, Section>> = {
  flour: BAKING,
  starch: BAKING,
  gluten: BAKING,
  'protein-powder': BAKING,
  fibre: BAKING,
  gum: BAKING,
  leavening: BAKING,
  wrapper: DOUGH,
  pastry: DOUGH,
  bread: DOUGH,
  noodle: DRY,
  'solid-fat': DAIRY,
  oil: FAT,
  milk: DAIRY,
  'milk-powder': BAKING,
  cream: DAIRY,
  yogurt: DAIRY,
  'plant-milk': PLANTS,
  'plant-cream': PLANTS,
  'plant-yogurt': PLANTS,
  'melting-cheese': DAIRY,
  'hard-cheese': DAIRY,
  'brined-cheese': DAIRY,
  'fresh-cheese': DAIRY,
  'firm-fresh-cheese': DAIRY,
  'plant-cheese': PLANTS,
  egg: DAIRY,
  'egg-yolk': DAIRY,
  'egg-white': DAIRY,
  'cooked-egg': DAIRY,
  'plant-egg': PLANTS,
  'minced-meat': BUTCHER,
  meat: BUTCHER,
  poultry: BUTCHER,
  'cured-meat': BUTCHER,
  fish: BUTCHER,
  'cured-fish': BUTCHER,
  shellfish: BUTCHER,
  'fish-roe': BUTCHER,
  gelatine: BAKING,
  stock: SAUCES,
  'stock-cube': SPICES,
  'soy-food': PLANTS,
  'textured-protein': DRY,
  'plant-meat': PLANTS,
  pulse: DRY,
  vegetable: GREENGROCER,
  leafy: GREENGROCER,
  mushroom: GREENGROCER,
  fruit: GREENGROCER,
  'dried-fruit': NUTS,
  herb: GREENGROCER,
  spice: SPICES,
  salt: SPICES,
  seasoning: SPICES,
  seed: NUTS,
  nut: NUTS,
  sweetener: BAKING,
  polyol: BAKING,
  sauce: SAUCES,
  liquid: SAUCES,
  alcohol: SAUCES,
}

/** Where in a shop a food is found, by its group. */
export const sectionOf = ({ group }: { group: string }): Section =>
  (SECTION_OF as Readonly<Record<string, Section>>)[group] ?? 'Somewhere else'
