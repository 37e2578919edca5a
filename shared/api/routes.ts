import { z } from 'zod'
import * as answers from './answers'
import { adaptAnswer } from './adaptation'
import { evaluationAnswer, workingAnswer } from './evaluation'
import {
  chunkAnswer,
  foodAnswer,
  importAnswer,
  importsAnswer,
  ownFoodAnswer,
  ownSwapAnswer,
  priceAnswer,
  pricesAnswer,
  taughtNameAnswer,
} from './foods'
import * as copies from './copies'
import * as dinners from './dinners'
import { importedAnswer, intakeAnswer } from './intake'
import * as log from './log'
import { piecesAnswer } from './pieces'
import * as requests from './requests'
import { scheduleAnswer } from './schedule'
import { tableAnswer } from './table'

export interface Route {
  method: 'get' | 'post' | 'put' | 'delete'
  path: string
  summary: string
  body?: z.ZodType
  answers: Record<number, [string, z.ZodType]>
  query?: Record<string, string>
}

const stored = answers.storedAnswer

/** The routes, once: the OpenAPI document is made from this list. */
export const ROUTES: readonly Route[] = [
  {
    method: 'get',
    path: '/api/health',
    summary: 'Says whether the server and its database answer',
    answers: {
      200: [
        'All well',
        z.strictObject({ status: z.literal('ok'), database: z.literal('ok'), foods: z.number() }),
      ],
    },
  },
  {
    method: 'get',
    path: '/api/live',
    summary: 'Says that the server runs, whatever its database does',
    answers: {
      200: [
        'It runs',
        z.strictObject({
          status: z.literal('ok'),
          product: z.literal('swap-pocket'),
          instance: z.string(),
          pid: z.number(),
          startedAt: z.string(),
        }),
      ],
    },
  },
  {
    method: 'get',
    path: '/api/ready',
    summary: 'Says whether a save would be kept now: database, schema, foods, and that it can be written',
    answers: {
      200: [
        'Ready',
        z.strictObject({
          ready: z.literal(true),
          database: z.literal(true),
          schema: z.string(),
          foods: z.literal(true),
          writable: z.literal(true),
        }),
      ],
    },
  },
  {
    method: 'get',
    path: '/api/ping',
    summary: 'Answers without touching anything',
    answers: { 200: ['Here', z.strictObject({ ok: z.literal(true) })] },
  },
  {
    method: 'post',
    path: '/api/ping',
    summary: 'Reads a JSON object and throws it away',
    query: { bytes: 'about so many bytes of rows are answered, for comparing; none without it' },
    body: z.looseObject({}),
    answers: {
      200: ['Here', z.strictObject({ ok: z.literal(true), rows: z.array(z.looseObject({})).optional() })],
    },
  },
  {
    method: 'get',
    path: '/api/openapi.json',
    summary: 'This document',
    answers: { 200: ['OpenAPI 3.1', z.looseObject({ openapi: z.string() })] },
  },
  {
    method: 'get',
    path: '/api/foods',
    summary: 'Foods that fit a query, those of given ids, the cook’s own, or all of our table',
    query: {
      q: 'name, misspelling or fragment',
      ids: 'ids with commas between them',
      shelf: 'own: the cook’s own foods',
    },
    answers: { 200: ['Foods', z.strictObject({ foods: z.array(foodAnswer) })] },
  },
  {
    method: 'post',
    path: '/api/foods',
    summary: 'Stores a food typed from a packet’s label',
    body: requests.ownFoodRequest,
    answers: { 201: ['The food', foodAnswer] },
  },
  {
    method: 'post',
    path: '/api/foods/made',
    summary: 'Stores a food that is made of others, by what comes out',
    body: requests.madeFoodRequest,
    answers: { 201: ['The food', foodAnswer] },
  },
  {
    method: 'get',
    path: '/api/foods/{id}',
    summary: 'A food, with every time it was typed in',
    answers: {
      200: ['The food', ownFoodAnswer],
    },
  },
  {
    method: 'put',
    path: '/api/foods/{id}',
    summary: 'Stores a packet typed anew; earlier entries are kept',
    body: requests.ownFoodRequest,
    answers: { 200: ['The food', foodAnswer] },
  },
  {
    method: 'delete',
    path: '/api/foods/{id}',
    summary: 'Offers an own food no longer; recipes that use it keep it',
    answers: { 200: ['Withdrawn', z.strictObject({ id: z.string(), restore: z.string() })] },
  },
  {
    method: 'post',
    path: '/api/foods/{id}/restore',
    summary: 'Offers an own food again',
    answers: { 200: ['Offered', z.strictObject({ id: z.string() })] },
  },
  {
    method: 'get',
    path: '/api/prices',
    summary: 'The price book and its currency',
    answers: { 200: ['Prices', pricesAnswer] },
  },
  {
    method: 'put',
    path: '/api/prices',
    summary: 'Sets the currency of the book; no price is converted',
    body: requests.currencyRequest,
    answers: { 200: ['Prices', pricesAnswer] },
  },
  {
    method: 'get',
    path: '/api/prices/{id}',
    summary: 'Every price that was noted for a food, the latest first',
    answers: { 200: ['Prices', z.strictObject({ prices: z.array(priceAnswer) })] },
  },
  {
    method: 'put',
    path: '/api/prices/{id}',
    summary: 'Notes what a food costs; earlier prices are kept',
    body: requests.priceRequest,
    answers: { 200: ['The price', priceAnswer] },
  },
  {
    method: 'delete',
    path: '/api/prices/{id}',
    summary: 'Takes the latest price of a food out; the one before counts again',
    answers: {
      200: ['Taken out', z.strictObject({ foodId: z.string(), price: priceAnswer.nullable() })],
    },
  },
  {
    method: 'get',
    path: '/api/swaps',
    summary: 'The cook’s own swaps',
    answers: { 200: ['Swaps', z.strictObject({ swaps: z.array(ownSwapAnswer) })] },
  },
  {
    method: 'post',
    path: '/api/swaps',
    summary: 'Adds a swap of the cook’s own; it is offered before those of the table',
    body: requests.ownSwapRequest,
    answers: { 201: ['The swap', ownSwapAnswer] },
  },
  {
    method: 'delete',
    path: '/api/swaps/{id}',
    summary: 'Offers an own swap no longer',
    answers: { 200: ['Gone', z.strictObject({ id: z.string() })] },
  },
  {
    method: 'get',
    path: '/api/names',
    summary: 'What the cook means by names: they come before those of the table when a text is read',
    answers: { 200: ['Names', z.strictObject({ names: z.array(taughtNameAnswer) })] },
  },
  {
    method: 'put',
    path: '/api/names',
    summary: 'Teaches which food is meant by a name',
    body: requests.taughtNameRequest,
    answers: { 200: ['The name as it is compared', taughtNameAnswer] },
  },
  {
    method: 'delete',
    path: '/api/names',
    summary: 'Forgets the name in `?name=`',
    answers: { 200: ['Forgotten', z.strictObject({ name: z.string() })] },
  },
  {
    method: 'get',
    path: '/api/imports',
    summary: 'The latest imports of open food tables',
    answers: { 200: ['Imports', importsAnswer] },
  },
  {
    method: 'post',
    path: '/api/imports',
    summary: 'Begins an import',
    body: requests.importRequest,
    answers: { 201: ['The import', importAnswer] },
  },
  {
    method: 'get',
    path: '/api/imports/{id}',
    summary: 'How far an import has come, and the rows that cannot be used',
    answers: { 200: ['The import', importAnswer] },
  },
  {
    method: 'delete',
    path: '/api/imports/{id}',
    summary: 'Throws an import away that was not merged',
    answers: { 200: ['Gone', z.strictObject({ id: z.string() })] },
  },
  {
    method: 'post',
    path: '/api/imports/{id}/rows',
    summary: 'Takes in a piece of a CSV file (the body is its bytes); the same piece twice counts once',
    query: {
      file: 'nutrient, food, food_nutrient or food_portion',
      offset: 'the byte of the file at which the piece begins',
      last: 'true for the last piece',
    },
    answers: { 200: ['How far the file has come', chunkAnswer] },
  },
  {
    method: 'post',
    path: '/api/imports/{id}/finish',
    summary: 'Makes foods of all that was taken in, in one transaction',
    body: requests.finishRequest,
    answers: { 202: ['Being merged', importAnswer] },
  },
  {
    method: 'post',
    path: '/api/intake',
    summary: 'Reads the text of a recipe into a document',
    body: requests.intakeRequest,
    answers: { 200: ['What was read', intakeAnswer] },
  },
  {
    method: 'post',
    path: '/api/evaluate',
    summary: 'Figures, dough, filling, diets, allergens and cautions of a recipe',
    query: { include: 'working: how every figure came about' },
    body: requests.evaluateRequest,
    answers: {
      200: ['The evaluation', evaluationAnswer.extend({ working: workingAnswer.optional() })],
    },
  },
  {
    method: 'post',
    path: '/api/adapt',
    summary: 'Adapts a recipe to diets and puts its dough right',
    query: { include: 'working: how every figure came about, in each evaluation' },
    body: requests.adaptRequest,
    answers: { 200: ['The adapted recipe, before and after', adaptAnswer] },
  },
  {
    method: 'post',
    path: '/api/pieces',
    summary:
      'How many pieces, how large, how full, and in how many batches; without a recipe, what a sheet and a cutter give',
    body: requests.piecesRequest,
    answers: { 200: ['The pieces', piecesAnswer] },
  },
  {
    method: 'post',
    path: '/api/schedule',
    summary:
      'When to do what, backwards from serving: of recipes with their pieces, or of tasks as they stand',
    body: requests.scheduleRequest,
    answers: { 200: ['The schedule, or what is in its way', scheduleAnswer] },
  },
  {
    method: 'post',
    path: '/api/recipes/import',
    summary:
      'Recipes of a page (JSON-LD, microdata, else its text), a JSON-LD document or a text; stores nothing',
    body: requests.pageImportRequest,
    answers: { 200: ['The recipes as they were read', importedAnswer] },
  },
  {
    method: 'get',
    path: '/api/recipes/{id}/export',
    summary: 'A recipe in an open form, as a file; x-not-kept says what the form cannot hold',
    query: { format: 'jsonld, json, markdown, text or csv', revision: 'an earlier one' },
    answers: { 200: ['The file', z.string()] },
  },
  {
    method: 'post',
    path: '/api/table',
    summary: 'The fewest and nearest kinds of one recipe, so that every guest has something to eat',
    body: requests.tableRequest,
    answers: { 200: ['Kinds, plates, the order of work, what is kept apart', tableAnswer] },
  },
  {
    method: 'post',
    path: '/api/heat',
    summary:
      'When the middle of a slab, cylinder or sphere, or of a piece of a recipe, has passed a temperature',
    body: requests.heatRequest,
    answers: { 200: ['Minutes, the curve of the middle, the heat taken up', log.heatAnswer] },
  },
  {
    method: 'post',
    path: '/api/learn',
    summary: 'A belief brought up to date with what was seen',
    body: requests.learnRequest,
    answers: { 200: ['The belief after', log.learnAnswer] },
  },
  {
    method: 'get',
    path: '/api/records',
    summary: 'What happened when recipes were cooked, the latest first',
    query: { recipe: 'the id of a recipe, for its own records only' },
    answers: { 200: ['Records', log.recordsAnswer] },
  },
  {
    method: 'get',
    path: '/api/records/{id}',
    summary: 'A record of a session',
    answers: { 200: ['The record', log.recordAnswer] },
  },
  {
    method: 'put',
    path: '/api/records/{id}',
    summary:
      'Stores a state of a record under a UUID of your own; a state that is older than what is there changes nothing',
    body: log.recordRequest,
    answers: { 200: ['The record as it is stored', log.recordAnswer] },
  },
  {
    method: 'delete',
    path: '/api/records/{id}',
    summary: 'Forgets a record',
    answers: { 200: ['Forgotten', z.strictObject({ id: z.string() })] },
  },
  {
    method: 'put',
    path: '/api/records/{id}/photos/{photo}',
    summary: 'Stores a picture of a record: JPEG, PNG or WebP of at most 600 kB, as the body',
    answers: { 200: ['Stored', z.strictObject({ id: z.string() })] },
  },
  {
    method: 'get',
    path: '/api/records/{id}/photos/{photo}',
    summary: 'A picture of a record, as it was sent',
    answers: { 200: ['The picture', z.string()] },
  },
  {
    method: 'delete',
    path: '/api/records/{id}/photos/{photo}',
    summary: 'Takes a picture away',
    answers: { 200: ['Gone', z.strictObject({ id: z.string() })] },
  },
  {
    method: 'get',
    path: '/api/dinners',
    summary: 'The dinners that are planned, the latest saved first',
    answers: { 200: ['Dinners', z.strictObject({ dinners: z.array(dinners.listedDinner) })] },
  },
  {
    method: 'get',
    path: '/api/dinners/{id}',
    summary: 'A dinner: what is cooked, by whom, for when, and the plan',
    answers: { 200: ['The dinner', dinners.dinnerAnswer] },
  },
  {
    method: 'put',
    path: '/api/dinners/{id}',
    summary: 'Stores a dinner under a UUID of your own; the same sent again changes nothing',
    body: dinners.dinnerRequest,
    answers: { 200: ['Stored', dinners.dinnerAnswer] },
  },
  {
    method: 'delete',
    path: '/api/dinners/{id}',
    summary: 'Forgets a dinner; storing it again brings it back',
    answers: { 200: ['Gone', z.strictObject({ id: z.string() })] },
  },
  {
    method: 'get',
    path: '/api/dinners/{id}/calendar.ics',
    summary: 'The plan of a dinner as iCalendar (text/calendar), with alarms, in its own time zone',
    answers: { 200: ['iCalendar', z.string()] },
  },
  {
    method: 'get',
    path: '/api/stock',
    summary: 'What is in the larder, as far as it is counted',
    answers: { 200: ['The stock', z.strictObject({ stock: z.array(dinners.stockedAnswer) })] },
  },
  {
    method: 'post',
    path: '/api/stock',
    summary: 'Takes off what was cooked (grams below 0) and puts on what was bought',
    body: dinners.stockChangeRequest,
    answers: { 200: ['The stock', z.strictObject({ stock: z.array(dinners.stockedAnswer) })] },
  },
  {
    method: 'put',
    path: '/api/stock/{id}',
    summary: 'Counts a food anew',
    body: dinners.stockRequest,
    answers: { 200: ['Counted', dinners.stockedAnswer] },
  },
  {
    method: 'delete',
    path: '/api/stock/{id}',
    summary: 'Keeps no count of a food any more',
    answers: { 200: ['Gone', z.strictObject({ foodId: z.string() })] },
  },
  {
    method: 'get',
    path: '/api/copies',
    summary: 'The copies of everything, and how far one is that is being made',
    answers: { 200: ['Copies', copies.copiesAnswer] },
  },
  {
    method: 'post',
    path: '/api/copies',
    summary: 'Makes a copy of everything now, and reads it back',
    answers: { 201: ['Made', copies.copyAnswer] },
  },
  {
    method: 'get',
    path: '/api/copies/{name}',
    summary: 'A copy as a file',
    answers: { 200: ['The file', z.string()] },
  },
  {
    method: 'delete',
    path: '/api/copies/{name}',
    summary: 'Removes a copy',
    answers: { 200: ['Gone', z.strictObject({ name: z.string() })] },
  },
  {
    method: 'post',
    path: '/api/restores',
    summary: 'Checks a backup, sent as the body or named, and says what restoring it would do',
    query: { copy: 'the name of a copy from /api/copies, in place of a body' },
    answers: { 200: ['What would be done', copies.previewAnswer] },
  },
  {
    method: 'post',
    path: '/api/restores/{id}',
    summary: 'Restores a backup that was looked at: all of it, or nothing',
    body: copies.restoreRequest,
    answers: { 200: ['Restored', copies.restoredAnswer] },
  },
  {
    method: 'delete',
    path: '/api/restores/{id}',
    summary: 'Throws away a backup that was looked at',
    answers: { 200: ['Gone', z.strictObject({ id: z.string() })] },
  },
  {
    method: 'get',
    path: '/api/kept',
    summary: 'What browsers kept for themselves: guests, cookware, refusals',
    answers: { 200: ['Kept', copies.keptAnswer] },
  },
  {
    method: 'put',
    path: '/api/kept',
    summary: 'Keeps what a browser has for itself, so that it is in the copies',
    body: copies.keptRequest,
    answers: { 200: ['Kept', copies.keptRequest] },
  },
  {
    method: 'delete',
    path: '/api/data',
    summary: 'Deletes all that a cook has put in; what the program ships stays',
    body: copies.deleteRequest,
    answers: { 200: ['Deleted', z.strictObject({ deleted: z.literal(true) })] },
  },
  {
    method: 'get',
    path: '/api/recipes',
    summary: 'The shelf, a page at a time: recipes that are not deleted, the latest saved first',
    query: { limit: 'at most so many, 1000 without it', after: 'the "next" of the page before' },
    answers: { 200: ['Recipes', answers.listAnswer] },
  },
  {
    method: 'post',
    path: '/api/recipes',
    summary: 'Stores a new recipe, or a variant when a parent is named',
    body: requests.createRequest,
    answers: { 201: ['Stored as revision 1', stored] },
  },
  {
    method: 'get',
    path: '/api/recipes/{id}',
    summary: 'A recipe with the revision it grew from',
    query: { revision: 'an older revision' },
    answers: { 200: ['The recipe', answers.storedWithParentAnswer] },
  },
  {
    method: 'put',
    path: '/api/recipes/{id}',
    summary: 'Saves a new revision; a stale one is answered with 409 and both documents',
    body: requests.saveRequest,
    answers: {
      200: ['Saved', stored],
      409: ['Stale', answers.problemAnswer.extend({ yours: z.looseObject({}), stored })],
    },
  },
  {
    method: 'delete',
    path: '/api/recipes/{id}',
    summary: 'Takes a recipe off the shelf; it can be put back',
    answers: { 200: ['Deleted', z.strictObject({ id: z.string(), restore: z.string() })] },
  },
  {
    method: 'post',
    path: '/api/recipes/{id}/restore',
    summary: 'Puts a deleted recipe back',
    answers: { 200: ['Back on the shelf', stored] },
  },
  {
    method: 'post',
    path: '/api/recipes/{id}/variants',
    summary: 'Stores a variant of a revision',
    body: requests.variantRequest,
    answers: { 201: ['Stored as revision 1 of its own', stored] },
  },
  {
    method: 'get',
    path: '/api/recipes/{id}/revisions',
    summary: 'The revisions of a recipe, the newest first',
    answers: {
      200: ['Revisions', z.strictObject({ revisions: z.array(answers.revisionAnswer) })],
    },
  },
]
