import type { CookRecord } from '../../core/log/record'
import type { StoredRecord } from '~~/shared/api/log'
import { query } from './query'

const STORED = `r.id, r.document as record, r.sequence, r.saved_at as "savedAt",
  coalesce((select jsonb_agg(p.id order by p.added_at) from record_photos p where p.record_id = r.id), '[]') as photos`

/** Records that are not deleted, the latest session first; of one recipe, or of all. */
export async function allRecords(recipeId: string | null): Promise<StoredRecord[]> {
  const { rows } = await query<StoredRecord>(
    `select ${STORED} from records r
     where r.deleted_at is null and ($1::uuid is null or r.recipe_id = $1)
     order by r.started_at desc limit 300`,
    [recipeId],
  )
  return rows
}

/** A record; null when there is none. */
export async function getRecord(id: string): Promise<StoredRecord | null> {
  const { rows } = await query<StoredRecord>(
    `select ${STORED} from records r where r.id = $1 and r.deleted_at is null`,
    [id],
  )
  return rows[0] ?? null
}

/** Stores a state of a record; a state that is older than what is there changes nothing. */
export async function putRecord(id: string, record: CookRecord, sequence: number): Promise<StoredRecord> {
  await query(
    `insert into records (id, recipe_id, started_at, document, sequence)
     values ($1, $2, to_timestamp($3), $4, $5)
     on conflict (id) do update
       set document = excluded.document, sequence = excluded.sequence, recipe_id = excluded.recipe_id,
           saved_at = now(), deleted_at = null
       where records.sequence < excluded.sequence`,
    [id, record.recipeId, record.startedAt / 1000, JSON.stringify(record), sequence],
  )
  return (await getRecord(id))!
}

/** Marks a record deleted. Returns false when there is none. */
export async function removeRecord(id: string): Promise<boolean> {
  const { rowCount } = await query(
    'update records set deleted_at = now() where id = $1 and deleted_at is null',
    [id],
  )
  return rowCount === 1
}

export interface Photo {
  type: string
  bytes: Buffer
}

/** Most pictures of one record. */
export const MAX_PHOTOS = 8

/** Stores a picture under an id of the device's own making; false when the record has enough, or is not there. */
export async function putPhoto(id: string, recordId: string, photo: Photo): Promise<boolean> {
  const { rowCount } = await query(
    `insert into record_photos (id, record_id, type, bytes)
     select $1, $2, $3, $4
     where exists (select from records where id = $2 and deleted_at is null)
       and ((select count(*) from record_photos where record_id = $2) < $5
            or exists (select from record_photos where id = $1))
     on conflict (id) do update set bytes = excluded.bytes, type = excluded.type`,
    [id, recordId, photo.type, photo.bytes, MAX_PHOTOS],
  )
  return rowCount === 1
}

/** A picture; null when there is none. */
export async function getPhoto(id: string, recordId: string): Promise<Photo | null> {
  const { rows } = await query<Photo>(
    'select type, bytes from record_photos where id = $1 and record_id = $2',
    [id, recordId],
  )
  return rows[0] ?? null
}

/** Takes a picture away. Returns false when there is none. */
export async function removePhoto(id: string, recordId: string): Promise<boolean> {
  const { rowCount } = await query('delete from record_photos where id = $1 and record_id = $2', [
    id,
    recordId,
  ])
  return rowCount === 1
}
