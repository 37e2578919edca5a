import { createStore, del, entries, set, type UseStore } from 'idb-keyval'
import type { Recipe } from '~~/core/recipe/document'
import { upgradeRecipe } from '~~/core/recipe/upgrade'

/** Where a document is stored; nulls while it has never been saved. */
export interface Slot {
  id: string | null
  revision: number | null
}

/** What undo goes back to. Without a baseline it is the original that is worked on, with one a variant of it. */
export interface Moment {
  recipe: Recipe
  baseline: Recipe | null
}

/** A creation that was sent and not answered yet: sent again under the same key it is done once. */
export interface Attempt {
  key: string
  path: string
  body: string
}

/** Unsaved work on one document, as one tab keeps it. */
export interface Draft {
  /** The document: the id under whose address it stands, or an id of its own while it has none. */
  about: string
  tab: string
  original: Slot
  variant: Slot
  now: Moment
  /** The document as it was last saved, as JSON; '' when it never was. */
  savedAs: string
  /** Milliseconds since 1970. */
  keptAt: number
  attempt: Attempt | null
  /** The cook wanted it saved, and the server was away. */
  wantsSave: boolean
}

const JOURNAL = 'swap-pocket:journal:'
const LOCK = 'swap-pocket-tab:'
/** Where one draft and one put aside were kept by an older program. */
const EARLIER = ['swap-pocket:bench', 'swap-pocket:bench-aside']

let store: UseStore | null = null
const shelf = () => (store ??= createStore('swap-pocket', 'drafts'))

const keyOf = ({ about, tab }: Pick<Draft, 'about' | 'tab'>) => `${about}~${tab}`

function readable(value: unknown): Draft | null {
  const draft = value as Draft | null
  if (!draft?.now?.recipe?.parts) return null
  try {
    const { recipe, baseline } = draft.now
    // Written by the program of that day: fields that came later are added.
    return {
      ...draft,
      attempt: draft.attempt ?? null,
      wantsSave: draft.wantsSave ?? false,
      now: { recipe: upgradeRecipe(recipe), baseline: baseline && upgradeRecipe(baseline) },
    }
  } catch {
    return null
  }
}

function parsed(text: string | null): Draft | null {
  try {
    return readable(JSON.parse(text ?? 'null'))
  } catch {
    return null
  }
}

/**
 * Keeps a draft. It stands in the journal at once, and there until the store has it: a page that is closed in the next
 * moment loses nothing.
 */
export function keep(draft: Draft): void {
  const text = JSON.stringify(draft)
  const line = JOURNAL + keyOf(draft)
  inStorage((storage) => storage.setItem(line, text), undefined)
  set(keyOf(draft), JSON.parse(text), shelf())
    .then(() => inStorage((storage) => storage.getItem(line) === text && storage.removeItem(line), undefined))
    .catch(() => undefined)
}

/** Where the browser forbids or has filled its storage, what stands there is not there. */
function inStorage<T>(work: (storage: Storage) => T, without: T): T {
  try {
    return work(localStorage)
  } catch {
    return without
  }
}

/** Throws a draft away. */
export async function drop(draft: Pick<Draft, 'about' | 'tab'>): Promise<void> {
  inStorage((storage) => storage.removeItem(JOURNAL + keyOf(draft)), undefined)
  await del(keyOf(draft), shelf()).catch(() => undefined)
}

/** What stands in the journal and what an older program kept, by the name it stands under. */
function journal(): { name: string; text: string; draft: Draft | null }[] {
  return inStorage((storage) => {
    const names = Array.from({ length: storage.length }, (_, at) => storage.key(at) ?? '')
    return names
      .filter((name) => name.startsWith(JOURNAL) || EARLIER.includes(name))
      .map((name) => {
        const text = storage.getItem(name) ?? ''
        const draft = parsed(text)
        if (!draft || name.startsWith(JOURNAL)) return { name, text, draft }
        const unsaved = JSON.stringify(draft.now.recipe) !== draft.savedAs
        const named = { ...draft, about: aboutOf(draft) ?? name, tab: ownTab(), keptAt: Date.now() }
        return { name, text, draft: unsaved ? named : null }
      })
  }, [])
}

/**
 * The journal goes into the store, but for what other tabs are writing at the moment. What the store does not take, and
 * what was written meanwhile, stays in the journal.
 *
 * @returns the drafts that the store did not take
 */
async function settle(others: ReadonlySet<string>): Promise<Draft[]> {
  const left: Draft[] = []
  for (const { name, text, draft } of journal()) {
    if (draft && others.has(draft.tab)) continue
    const kept = draft
      ? await set(keyOf(draft), draft, shelf()).then(
          () => true,
          () => false,
        )
      : true
    if (!kept) left.push(draft!)
    else inStorage((storage) => storage.getItem(name) === text && storage.removeItem(name), undefined)
  }
  return left
}

/** Under which stored recipe's address a document stands: its own, or its original's while it has none; null for none. */
export const aboutOf = ({ now, original, variant }: Pick<Draft, 'now' | 'original' | 'variant'>) =>
  now.baseline ? (variant.id ?? original.id) : original.id

/** All drafts, the latest first; those of the journal alone where the browser has no store. */
export async function allDrafts(): Promise<Draft[]> {
  const left = await settle(await otherTabs())
  const stored = await entries(shelf()).catch(() => [])
  const newer = new Map(left.map((draft) => [keyOf(draft), draft]))
  const found = stored.flatMap(([key, value]) => (newer.has(String(key)) ? [] : (readable(value) ?? [])))
  return [...left, ...found].sort((a, b) => b.keptAt - a.keptAt)
}

let own: string | null = null

/** This tab among those of this browser; the same after it is loaded again. */
export function ownTab(): string {
  if (own) return own
  try {
    own = sessionStorage.getItem('swap-pocket:tab')
    if (!own) sessionStorage.setItem('swap-pocket:tab', (own = crypto.randomUUID()))
  } catch {
    own = crypto.randomUUID()
  }
  return own
}

/**
 * Holds a lock by which other tabs see that this one is there. A tab that was duplicated has the name of the one that it
 * was made from: it takes another.
 */
export async function beThere(): Promise<void> {
  if (typeof navigator === 'undefined' || !navigator.locks) return
  const hold = (name: string) =>
    new Promise<boolean>((answer) => {
      void navigator.locks.request(LOCK + name, { ifAvailable: true }, (lock) => {
        answer(lock !== null)
        return lock ? new Promise(() => undefined) : undefined
      })
    })
  if (await hold(ownTab())) return
  own = crypto.randomUUID()
  sessionStorage.setItem('swap-pocket:tab', own)
  await hold(own)
}

/** The tabs that are there now, without this one. */
export async function otherTabs(): Promise<Set<string>> {
  if (typeof navigator === 'undefined' || !navigator.locks) return new Set()
  const { held = [] } = await navigator.locks.query()
  const names = held.flatMap(({ name }) => (name?.startsWith(LOCK) ? [name.slice(LOCK.length)] : []))
  return new Set(names.filter((name) => name !== ownTab()))
}
