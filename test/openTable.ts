/** Words that invented foods are named with; two and a number make a name of its own. */
const KINDS =
  `barley beet bean berry bread broth butter cabbage carrot cheese cherry chestnut cream dumpling fennel flour
   gourd herring kale lentil mackerel millet mushroom noodle nut oat onion parsnip pastry pea pear pickle plum
   potato pumpkin quince rice roll rye sausage seed sorrel spinach squash tofu trout turnip veal walnut wheat
   yam yogurt`.split(/\s+/)
const WAYS =
  `raw boiled baked canned dried fermented fried frozen grilled ground mashed pickled roasted salted smoked
   steamed stewed sweetened toasted whole`.split(/\s+/)

/** Nutrient numbers and units as the published layout has them. */
const NUTRIENTS: readonly [number, string, string][] = [
  [1051, 'Water', 'G'],
  [1008, 'Energy', 'KCAL'],
  [1003, 'Protein', 'G'],
  [1004, 'Total lipid (fat)', 'G'],
  [1005, 'Carbohydrate, by difference', 'G'],
  [1079, 'Fiber, total dietary', 'G'],
  [2000, 'Sugars, total', 'G'],
  [1258, 'Fatty acids, total saturated', 'G'],
  [1093, 'Sodium, Na', 'MG'],
  [1087, 'Calcium, Ca', 'MG'],
  [1089, 'Iron, Fe', 'MG'],
  [1178, 'Vitamin B-12', 'UG'],
]

export interface WrittenTable {
  nutrient: string
  food: string
  food_nutrient: string
  food_portion: string
  /** Rows of food_nutrient. */
  amountRows: number
}

/** The name of the n-th invented food. */
export const inventedName = (n: number) =>
  `${KINDS[n % KINDS.length]![0]!.toUpperCase()}${KINDS[n % KINDS.length]!.slice(1)}, ${WAYS[Math.floor(n / KINDS.length) % WAYS.length]}, lot ${n}`

/**
 * Writes an open table of invented foods in the published column layout, quotes and extra columns included.
 *
 * @param foods how many
 * @param bad numbers of rows of food_nutrient.csv, counted as the import does, that are to be unusable
 */
export function writeTable(foods: number, bad: readonly number[] = []): WrittenTable {
  const nutrient = ['"id","name","unit_name","nutrient_nbr","rank"']
  for (const [id, name, unit] of NUTRIENTS) nutrient.push(`"${id}","${name}","${unit}","${id - 800}","1"`)
  const food = ['"fdc_id","data_type","description","food_category_id","publication_date"']
  const amounts = ['"id","fdc_id","nutrient_id","amount","data_points","derivation_id"']
  const portions = [
    '"id","fdc_id","seq_num","amount","measure_unit_id","portion_description","modifier","gram_weight"',
  ]
  const spoiled = new Set(bad)
  for (let n = 0; n < foods; n++) {
    const id = 9_000_000 + n
    food.push(`"${id}","invented_food","${inventedName(n)}","11","2026-01-01"`)
    const water = 20 + (n % 60)
    const protein = (n % 17) / 2
    const fat = (n % 11) / 2
    const carbohydrate = 100 - water - protein - fat
    const fibre = carbohydrate / 10
    const kcal = 4 * (carbohydrate - fibre) + 2 * fibre + 4 * protein + 9 * fat
    const values = [
      water,
      kcal,
      protein,
      fat,
      carbohydrate,
      fibre,
      carbohydrate / 4,
      fat / 3,
      100,
      40,
      1.5,
      0.2,
    ]
    values.forEach((value, at) => {
      const amount = spoiled.has(amounts.length + 1) ? '"n/a"' : `"${value.toFixed(3)}"`
      amounts.push(`"${n * 12 + at}","${id}","${NUTRIENTS[at]![0]}",${amount},"1","46"`)
    })
    portions.push(`"${n}","${id}","1","1","9999","","cup","${120 + (n % 80)}"`)
  }
  const text = (rows: string[]) => `${rows.join('\n')}\n`
  return {
    nutrient: text(nutrient),
    food: text(food),
    food_nutrient: text(amounts),
    food_portion: text(portions),
    amountRows: amounts.length - 1,
  }
}
