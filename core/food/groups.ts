import type { Composition } from './composition'

/**
 * What a group of foods is, each with what it means. A new group is one row of `GROUPS`; what is asked of groups
 * anywhere is asked here. Common practice, no source.
 */
export const TRAITS = {
  flour: "100 % in the baker's percentages, where the food also has a water demand",
  isolate: 'one part of a plant or a milk, taken out of it: used in shares, not as a flour',
  'bought-dough': "dough that is bought ready, of which no baker's percentage is known",
  'of-dough': "may stand in a dough's list of ingredients",
  seasons: 'seasons a dough or filling, whatever it is made of',
  fixed: 'keeps its amount: halving the salt or the yeast is no way to a target',
  taste: 'carries the taste of the piece',
  pours: 'all of its water is free to wet flour',
  'wets-dough': 'the liquid that a dough is mixed with',
  splash: 'a liquid that is cooked off in a filling',
  'moist-dough': 'wets a dough without being its liquid',
  curd: 'yogurt and fresh curd, by whose share a dough is one of yogurt',
  wash: 'brushed on before baking',
  egg: 'egg, its parts and what stands in for it',
  'whole-egg': 'counted by the piece and broken whole',
  sugar: 'sweet by its sugar',
  sweetener: 'sweetens',
  starchy: 'there for its starch',
  vegetable: 'a vegetable, leaf or mushroom',
  flesh: "meat or fish as a filling's main food",
  dairy: 'milk and what is made of it, where a leaner one may stand in',
  cheese: 'cheese of milk',
  'dough-base': 'what a dough without flour is made of',
  'plant-protein': 'plant food that is kept and reheated like meat',
  'sold-by-fat': 'a percentage in its name means fat',
  'smoked-alike': 'smoke changes no figure that a label would show',
} as const
export type Trait = keyof typeof TRAITS

const GROUPS = {
  flour: ['flour', 'of-dough', 'starchy'],
  starch: ['flour', 'of-dough', 'starchy'],
  gluten: ['flour', 'isolate', 'of-dough'],
  'protein-powder': ['flour', 'isolate', 'of-dough'],
  fibre: ['flour', 'isolate', 'of-dough'],
  gum: ['of-dough', 'fixed'],
  leavening: ['of-dough', 'fixed'],
  wrapper: ['bought-dough', 'of-dough'],
  pastry: ['bought-dough', 'of-dough', 'sold-by-fat'],
  bread: ['starchy'],
  noodle: ['starchy'],
  'solid-fat': ['of-dough', 'sold-by-fat'],
  oil: ['of-dough'],
  milk: ['of-dough', 'pours', 'wets-dough', 'moist-dough', 'wash', 'dairy', 'sold-by-fat'],
  'milk-powder': ['of-dough', 'sold-by-fat'],
  cream: ['wash', 'dairy', 'sold-by-fat'],
  yogurt: ['of-dough', 'moist-dough', 'curd', 'dairy', 'sold-by-fat'],
  'plant-milk': ['of-dough', 'pours', 'wets-dough', 'moist-dough', 'wash', 'sold-by-fat'],
  'plant-cream': ['wash', 'sold-by-fat'],
  'plant-yogurt': ['of-dough', 'moist-dough', 'curd', 'sold-by-fat'],
  'melting-cheese': ['taste', 'dairy', 'cheese', 'dough-base', 'sold-by-fat', 'smoked-alike'],
  'hard-cheese': ['taste', 'dairy', 'cheese', 'sold-by-fat', 'smoked-alike'],
  'brined-cheese': ['taste', 'dairy', 'cheese', 'sold-by-fat', 'smoked-alike'],
  'fresh-cheese': ['moist-dough', 'curd', 'dairy', 'cheese', 'sold-by-fat', 'smoked-alike'],
  'firm-fresh-cheese': ['dairy', 'cheese', 'dough-base', 'sold-by-fat', 'smoked-alike'],
  'plant-cheese': ['sold-by-fat', 'smoked-alike'],
  egg: ['of-dough', 'moist-dough', 'wash', 'egg', 'whole-egg'],
  'egg-yolk': ['of-dough', 'wash', 'egg'],
  'egg-white': ['of-dough', 'wash', 'egg'],
  'cooked-egg': ['egg', 'whole-egg'],
  'plant-egg': ['of-dough', 'wash', 'egg'],
  'minced-meat': ['taste', 'flesh', 'sold-by-fat'],
  meat: ['taste', 'flesh', 'sold-by-fat'],
  poultry: ['taste', 'flesh'],
  'cured-meat': ['taste', 'flesh', 'smoked-alike'],
  fish: ['taste', 'flesh'],
  'cured-fish': [],
  shellfish: ['taste', 'flesh'],
  'fish-roe': [],
  gelatine: ['fixed'],
  stock: ['pours', 'splash'],
  'stock-cube': ['fixed'],
  'soy-food': ['plant-protein'],
  'textured-protein': ['plant-protein'],
  'plant-meat': ['plant-protein', 'smoked-alike'],
  pulse: ['dough-base', 'plant-protein'],
  vegetable: ['vegetable', 'dough-base'],
  leafy: ['vegetable', 'dough-base'],
  mushroom: ['taste', 'vegetable'],
  fruit: ['taste', 'dough-base'],
  'dried-fruit': ['sugar'],
  herb: ['seasons', 'fixed', 'taste'],
  spice: ['seasons', 'fixed', 'taste', 'smoked-alike'],
  salt: ['of-dough', 'seasons', 'fixed', 'smoked-alike'],
  seasoning: ['seasons', 'fixed'],
  seed: ['seasons'],
  nut: ['dough-base'],
  sweetener: ['of-dough', 'sugar', 'sweetener'],
  polyol: ['of-dough', 'sweetener'],
  sauce: ['taste', 'sold-by-fat'],
  liquid: ['of-dough', 'pours', 'wets-dough', 'splash'],
  alcohol: ['pours', 'splash'],
} as const satisfies Record<string, readonly Trait[]>
export type FoodGroup = keyof typeof GROUPS

/** Every group of the tables. Foods of measured and imported tables have groups of their own, without traits. */
export const FOOD_GROUPS = Object.keys(GROUPS) as FoodGroup[]

const traitsOf: ReadonlyMap<string, ReadonlySet<string>> = new Map(
  Object.entries(GROUPS).map(([group, traits]) => [group, new Set<string>(traits)]),
)

/** Whether foods of a group are something. */
export const groupIs = (group: string, trait: Trait): boolean => traitsOf.get(group)?.has(trait) ?? false

/** Whether a food is something, by its group; false for none. */
export const foodIs = (food: { group: string } | null | undefined, trait: Trait): boolean =>
  !!food && groupIs(food.group, trait)

/** 100 % in the baker's percentages: of a flour's group, with a demand for water. */
export const isFlour = (food: { group: string; waterDemand: number | null }): boolean =>
  food.waterDemand !== null && foodIs(food, 'flour')

/** Fat from this share on: 100 g of it hold 50 g or more. Our own choice. */
const FAT_G_PER_100G = 50

/** An oil, butter or another fat, and no food that holds some. */
export const isFat = (food: { softeningFat: string | null; per100g: Composition }): boolean =>
  food.softeningFat !== null && food.per100g.fatG >= FAT_G_PER_100G
