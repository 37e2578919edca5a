import type { KeptBrowser } from '~~/shared/api/copies'
import { query } from './query'

/** Each browser's own row. One without an id is of the first version, which knew of one browser only. */
const FIRST = 'browser'
const PREFIX = 'browser:'
/** So many browsers are remembered; the one that was here longest ago goes. */
const MAX_BROWSERS = 8

type Stored = Omit<KeptBrowser, 'id' | 'kind'> & { kind?: KeptBrowser['kind'] }

/** What browsers kept, the one that was here last first. */
export async function keptOfBrowsers(): Promise<KeptBrowser[]> {
  const { rows } = await query<{ name: string; value: Stored }>(
    `select name, value from settings where name = $1 or starts_with(name, $2)
     order by (value ->> 'savedAt')::timestamptz desc`,
    [FIRST, PREFIX],
  )
  return rows.map(({ name, value }) => ({
    id: name === FIRST ? FIRST : name.slice(PREFIX.length),
    kind: value.kind ?? 'computer',
    savedAt: value.savedAt,
    kept: value.kept,
  }))
}

/** Keeps what a browser has for itself; what it kept later stays, and what other browsers kept is theirs. */
export async function keepOfBrowser({ id, ...kept }: KeptBrowser): Promise<void> {
  await query(
    `insert into settings (name, value) values ($1, $2)
     on conflict (name) do update set value = excluded.value
     where (settings.value ->> 'savedAt')::timestamptz <= (excluded.value ->> 'savedAt')::timestamptz`,
    [PREFIX + id, JSON.stringify(kept)],
  )
  await query(
    `delete from settings where name in (
       select name from settings where name = $1 or starts_with(name, $2)
       order by (value ->> 'savedAt')::timestamptz desc offset $3
     )`,
    [FIRST, PREFIX, MAX_BROWSERS],
  )
}
