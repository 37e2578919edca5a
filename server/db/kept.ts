import type { KeptRequest } from '~~/shared/api/copies'
import { query } from './query'

const NAME = 'browser'

/** What a browser kept last; null when none has. */
export async function keptOfBrowser(): Promise<KeptRequest | null> {
  const { rows } = await query<{ value: KeptRequest }>('select value from settings where name = $1', [NAME])
  return rows[0]?.value ?? null
}

/** Keeps what a browser has for itself; what was kept later stays. */
export async function keepOfBrowser(kept: KeptRequest): Promise<void> {
  await query(
    `insert into settings (name, value) values ($1, $2)
     on conflict (name) do update set value = excluded.value
     where (settings.value ->> 'savedAt')::timestamptz <= (excluded.value ->> 'savedAt')::timestamptz`,
    [NAME, JSON.stringify(kept)],
  )
}
