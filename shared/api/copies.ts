import { z } from 'zod'

/** A copy of everything, as it lies in the folder of copies. */
export const copyAnswer = z.strictObject({
  name: z.string(),
  kind: z.enum(['night', 'asked']),
  madeAt: z.string(),
  bytes: z.number(),
  rows: z.number().nullable(),
  checkedAt: z.string().nullable(),
  wrong: z.string(),
})

const progress = z.strictObject({ done: z.number(), total: z.number() })

export const copiesAnswer = z.strictObject({
  folder: z.string(),
  copies: z.array(copyAnswer),
  /** How far the copy is that is being made. */
  making: progress.nullable(),
  /** How far the file is that is read or put back; its total is 0 while that is not known. */
  restoring: progress.nullable(),
})

const tableChange = z.strictObject({
  table: z.string(),
  added: z.number(),
  same: z.number(),
  different: z.number(),
  newerInFile: z.number().nullable(),
})

/** What restoring a file would do. */
export const previewAnswer = z.strictObject({
  id: z.string(),
  madeAt: z.string(),
  program: z.string(),
  changes: z.array(tableChange),
  twins: z.number(),
})

export const restoredAnswer = z.strictObject({ changes: z.array(tableChange), twins: z.number() })

/** What is done with what is here and in the file, and differs. */
export const restoreRequest = z.strictObject({ differing: z.enum(['keep', 'newer', 'file']) })

/** What a browser keeps for itself: names of ours with what stands under them. */
export const keptRequest = z.strictObject({
  /** The browser's own id, made by itself. */
  id: z.uuid(),
  kind: z.enum(['computer', 'phone']),
  savedAt: z.iso.datetime({ offset: true }),
  kept: z.record(z.string().regex(/^swap-pocket:[a-z-]{1,40}$/), z.string().max(500_000)),
})
export const keptAnswer = z.strictObject({
  browsers: z.array(keptRequest.extend({ id: z.string() })),
})

/** What has to be said so that everything is deleted. */
export const DELETE_WORDS = 'delete everything'
export const deleteRequest = z.strictObject({
  confirm: z.literal(DELETE_WORDS),
  /** The copies in the folder as well. */
  copies: z.boolean(),
})

export type CopyAnswer = z.infer<typeof copyAnswer>
export type CopiesAnswer = z.infer<typeof copiesAnswer>
export type PreviewAnswer = z.infer<typeof previewAnswer>
export type RestoredAnswer = z.infer<typeof restoredAnswer>
export type KeptBrowser = z.infer<typeof keptAnswer>['browsers'][number]
