import { normaliseName } from '../../core/reading/match'
import type { Food } from '../../core/food/food'
import type { PacketLabel } from '../../core/food/packet'
import type { FoodEntry, FoodShelf, ShelvedFood } from '~~/shared/api/foods'
import type { Queryable } from './pool'
import { inTransaction, query, searchQuery } from './query'

/** How names are compared: lower case, no accents, singular nouns, one blank between words. */
const searchText = (food: Food) => [food.name, ...food.synonyms].map(normaliseName).join(' | ')

/** Stores foods, or what has changed of them, and leaves alone how often they were used. */
export async function putFoods(client: Queryable, shelf: FoodShelf, foods: readonly Food[]): Promise<void> {
  // In one order whoever stores them, so that two who store the same foods wait for one another and not in a ring.
  foods = [...foods].sort((a, b) => (a.id < b.id ? -1 : 1))
  const ids = foods.map((food) => food.id)
  await client.query(
    `insert into foods (id, shelf, name, search, likely)
     select id, $1, name, search, $1 <> 'import'
     from unnest($2::text[], $3::text[], $4::text[]) as given (id, name, search)
     on conflict (id) do update
       set shelf = excluded.shelf, name = excluded.name, search = excluded.search, withdrawn_at = null`,
    [shelf, ids, foods.map((food) => food.name), foods.map(searchText)],
  )
  await client.query(
    `insert into food_documents (food_id, document)
     select id, document::json from unnest($1::text[], $2::text[]) as given (id, document)
     on conflict (food_id) do update set document = excluded.document`,
    [ids, foods.map((food) => JSON.stringify(food))],
  )
}

const SHELVED = 'd.document, foods.shelf'
interface ShelvedRow {
  document: Food
  shelf: FoodShelf
}
const shelved = ({ document, shelf }: ShelvedRow): ShelvedFood => ({ ...document, shelf })
const WITH_DOCUMENT = 'join food_documents d on d.food_id = foods.id'

/** Foods by their ids, withdrawn ones too; those that are not there are left out. */
export async function foodsById(ids: readonly string[]): Promise<ShelvedFood[]> {
  const { rows } = await query<ShelvedRow>(
    `select ${SHELVED} from foods ${WITH_DOCUMENT} where foods.id = any($1)`,
    [ids],
  )
  return rows.map(shelved)
}

/** The cook's own foods, by name. */
export async function ownFoods(): Promise<ShelvedFood[]> {
  const { rows } = await query<ShelvedRow>(
    `select ${SHELVED} from foods ${WITH_DOCUMENT}
     where shelf = 'own' and withdrawn_at is null order by name limit 2000`,
  )
  return rows.map(shelved)
}

/** How many foods stand on each shelf. */
export async function countFoods(): Promise<Record<FoodShelf, number>> {
  const { rows } = await query<{ shelf: FoodShelf; count: number }>(
    'select shelf, count(*)::integer as count from foods where withdrawn_at is null group by shelf',
  )
  const counts = { table: 0, measured: 0, own: 0, import: 0 }
  for (const { shelf, count } of rows) counts[shelf] = count
  return counts
}

const escapeLike = (text: string) => text.replace(/[\\%_]/g, '\\$&')

/** Likely before less likely: the cook's own and ours before measured and imported ones. */
const SHELF_RANK = `case shelf when 'own' then 0 when 'table' then 1 when 'measured' then 2 else 3 end`

/**
 * Of the imported foods that were never used this many are ranked: nobody reads further, and a common word is in
 * thousands of them.
 */
const MAX_UNLIKELY = 150

interface Matching {
  /** What this kind of search is called: it is planned once under that name. */
  kind: string
  /** A condition on `search` that both indexes know. */
  where: string
  /** How near a food is to what was typed, the nearest first. */
  order: string
  values: unknown[]
}

async function ranked({ kind, where, order, values }: Matching, limit: number): Promise<ShelvedFood[]> {
  const fields = 'id, search, shelf, used_at, name'
  const text = `with found as materialized (
       select ${fields} from foods where ${where} and likely and withdrawn_at is null
       union all
       (select ${fields} from foods where ${where} and not likely and withdrawn_at is null
        limit ${MAX_UNLIKELY})
     ), best as (
       select id, row_number() over (order by ${order}, ${SHELF_RANK}, length(name), name) as place
       from found order by place limit ${limit}
     )
     select ${SHELVED} from best join foods using (id) ${WITH_DOCUMENT} order by place`
  const { rows } = await searchQuery<ShelvedRow>({
    name: `foods ${kind} ${limit}`,
    text,
    values,
  })
  return rows.map(shelved)
}

/**
 * Foods by any name, fragment or misspelling: exact first, then recently used, then names that begin with what
 * was typed, then those that hold it, the shorter first. Where hardly any holds it and none is called so,
 * likeness decides.
 *
 * @param limit at least 1
 */
export async function searchFoods(wanted: string, limit: number): Promise<ShelvedFood[]> {
  const plain = normaliseName(wanted)
  if (!plain) return []
  const start = `${escapeLike(plain)}%`
  // A fragment of one or two letters has no trigram; the start of a name has an index of its own.
  const words = plain.split(' ').slice(0, MAX_WORDS)
  const patterns = plain.length < 3 ? [start] : words.map((word) => `%${escapeLike(word)}%`)
  const found = await ranked(
    {
      kind: `with ${patterns.length} words`,
      where: patterns.map((_, at) => `search like $${at + 4}`).join(' and '),
      order: `search <> $1 and search not like $2, used_at is null, used_at desc, search not like $3,
        position(' ' || $1 in ' ' || search) = 0`,
      values: [plain, `${escapeLike(plain)} | %`, start, ...patterns],
    },
    limit,
  )
  const named = found.some((food) => searchText(food).split(' | ').includes(plain))
  if (named || found.length >= Math.min(limit, MIN_FOUND) || plain.length < 3) return found
  const alike = await ranked(
    {
      kind: 'alike',
      where: '$1 <% search',
      order: 'round(word_similarity($1, search)::numeric, 1) desc, used_at is null, used_at desc',
      values: [plain],
    },
    limit,
  )
  const known = new Set(found.map((food) => food.id))
  return [...found, ...alike.filter((food) => !known.has(food.id))].slice(0, limit)
}

/** More words than this say nothing more. */
const MAX_WORDS = 8

/** With fewer foods than this that hold what was typed, and none of that name, it may be a misspelling. */
const MIN_FOUND = 3

/**
 * Remembers that foods were used in a recipe, so that they come first next time. Rows that another save is marking are
 * passed over: they are being marked.
 */
export async function markUsed(client: Queryable, ids: readonly string[]): Promise<void> {
  await client.query(
    `with free as (select id from foods where id = any($1) order by id for update skip locked)
     update foods set used_at = clock_timestamp(), uses = uses + 1, likely = true
     from free where foods.id = free.id`,
    [ids],
  )
}

/** Stores a food the cook typed from a packet, with who typed it; a later entry of the same food replaces it. */
export async function putOwnFood(food: Food, label: PacketLabel, who: string): Promise<ShelvedFood> {
  return inTransaction(async (client) => {
    await putFoods(client, 'own', [food])
    await client.query(
      `insert into food_entries (food_id, entry, who, label)
       select $1, coalesce(max(entry), 0) + 1, $2, $3 from food_entries where food_id = $1`,
      [food.id, who, JSON.stringify(label)],
    )
    return { ...food, shelf: 'own' as const }
  })
}

/** Stores a food the cook makes of others. */
export async function putMadeFood(food: Food): Promise<ShelvedFood> {
  return inTransaction(async (client) => {
    await putFoods(client, 'own', [food])
    return { ...food, shelf: 'own' as const }
  })
}

/** Every time a food was typed in, the latest first. */
export async function entriesOf(foodId: string): Promise<FoodEntry[]> {
  const { rows } = await query<FoodEntry>(
    `select entry, who, label, typed_at as "typedAt" from food_entries where food_id = $1 order by entry desc`,
    [foodId],
  )
  return rows
}

/** Offers an own food no longer, or again. Recipes that use it keep it. Returns false when there is none. */
export async function setWithdrawn(id: string, withdrawn: boolean): Promise<boolean> {
  const { rowCount } = await query(
    `update foods set withdrawn_at = case when $2 then now() end where id = $1 and shelf = 'own'`,
    [id, withdrawn],
  )
  return rowCount === 1
}
