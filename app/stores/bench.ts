import { defineStore } from 'pinia'
import { RecipeProblem } from '~~/core/recipe/problem'
import type { Recipe } from '~~/core/recipe/document'
import { upgradeRecipe } from '~~/core/recipe/upgrade'
import type { Change } from '~~/core/swap/applySwap'
import { ApiProblem, call, type ProblemDocument, type Stored, type StoredWithParent } from '~/logic/api'
import { dietNames } from '~/logic/dietGroups'

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

interface Draft {
  original: Slot
  variant: Slot
  now: Moment
  /** The document as it was last saved, as JSON; '' when it never was. */
  savedAs: string
}

const DRAFT = 'swap-pocket:bench'
/** Unsaved work that was on the bench when something else was laid there. */
const ASIDE = 'swap-pocket:bench-aside'
const MAX_UNDO = 100
/** The search is large and wanted after the first look: it comes when the page is idle, or when it is asked for. */
export const loadAdapt = () => import('~~/core/adapt')
const emptySlot = (): Slot => ({ id: null, revision: null })

function readDraft(key = DRAFT): Draft | null {
  try {
    const draft = JSON.parse(localStorage.getItem(key) ?? 'null') as Draft | null
    if (!draft?.now?.recipe?.parts) return null
    const { recipe, baseline } = draft.now
    // Written by the program of that day: fields that came later are added.
    return { ...draft, now: { recipe: upgradeRecipe(recipe), baseline: baseline && upgradeRecipe(baseline) } }
  } catch {
    return null
  }
}

/** The recipe on the bench: the document, its original, undo and redo, saving, and a copy kept in the browser. */
export const useBenchStore = defineStore('bench', () => {
  const shelves = useLarderStore()
  const original = ref<Slot>(emptySlot())
  const variant = ref<Slot>(emptySlot())
  const now = shallowRef<Moment | null>(null)
  const past = shallowRef<Moment[]>([])
  const future = shallowRef<Moment[]>([])
  const savedAs = ref('')
  const saving = ref(false)
  const trouble = ref<ProblemDocument | null>(null)
  /** Title of unsaved work that was put aside for what is on the bench now; '' when there is none. */
  const aside = ref(readDraft(ASIDE)?.now.recipe.title ?? '')
  /** What stopped the last adaptation before it began. */
  const refusal = ref('')

  const recipe = computed(() => now.value?.recipe ?? null)
  const baseline = computed(() => now.value?.baseline ?? null)
  const slot = computed(() => (baseline.value ? variant.value : original.value))
  const asJson = computed(() => (recipe.value ? JSON.stringify(recipe.value) : ''))
  const dirty = computed(() => recipe.value !== null && asJson.value !== savedAs.value)
  const canUndo = computed(() => past.value.length > 0)
  const canRedo = computed(() => future.value.length > 0)

  function keepDraft(key = DRAFT) {
    if (!now.value) return
    const draft: Draft = {
      original: original.value,
      variant: variant.value,
      now: now.value,
      savedAs: savedAs.value,
    }
    try {
      localStorage.setItem(key, JSON.stringify(draft))
    } catch {
      // Storage is full or forbidden: the bench works on without a copy.
    }
  }

  function put(moment: Moment) {
    if (now.value) past.value = [...past.value.slice(-MAX_UNDO + 1), now.value]
    future.value = []
    now.value = moment
    refusal.value = ''
    keepDraft()
  }

  /** Puts a changed document on the bench, as one step that can be undone. */
  function change(next: Recipe) {
    if (now.value) put({ ...now.value, recipe: next })
  }

  function step(from: typeof past, to: typeof past) {
    const moment = from.value.at(-1)
    if (!moment || !now.value) return
    to.value = [...to.value, now.value]
    from.value = from.value.slice(0, -1)
    now.value = moment
    trouble.value = null
    keepDraft()
  }
  const undo = () => step(past, future)
  const redo = () => step(future, past)

  function begin(moment: Moment, slots: { original: Slot; variant: Slot }, saved: string) {
    if (now.value && dirty.value) {
      keepDraft(ASIDE)
      aside.value = now.value.recipe.title
    }
    original.value = slots.original
    variant.value = slots.variant
    past.value = []
    future.value = []
    savedAs.value = saved
    now.value = moment
    trouble.value = null
    refusal.value = ''
    keepDraft()
    // What the tables do not hold arrives a moment later; until then its lines are said to be unknown.
    void shelves.knowFoodsOf(moment.recipe)
    void shelves.knowFoodsOf(moment.baseline)
  }

  /** Lays a new recipe on the bench, not saved yet. */
  function start(fresh: Recipe) {
    begin({ recipe: fresh, baseline: null }, { original: emptySlot(), variant: emptySlot() }, '')
  }

  function lay(stored: StoredWithParent) {
    const own = { id: stored.id, revision: stored.revision }
    const { parent } = stored
    begin(
      { recipe: stored.recipe, baseline: parent?.recipe ?? null },
      parent
        ? { original: { id: parent.id, revision: parent.revision }, variant: own }
        : { original: own, variant: emptySlot() },
      JSON.stringify(stored.recipe),
    )
  }

  /** Goes on with the copy kept in the browser. Returns false when there is none. */
  function resume(): boolean {
    const draft = readDraft()
    if (!draft) return false
    begin(draft.now, { original: draft.original, variant: draft.variant }, draft.savedAs)
    return true
  }

  /** Lays the work that was put aside on the bench again. */
  function takeBack() {
    const draft = readDraft(ASIDE)
    localStorage.removeItem(ASIDE)
    aside.value = ''
    if (draft) begin(draft.now, { original: draft.original, variant: draft.variant }, draft.savedAs)
  }

  /**
   * Whether a document belongs under a stored recipe's address: it is that recipe, or a variant of it that was
   * never saved and so has no address of its own.
   */
  const belongsTo = (id: string, moment: Moment, slots: { original: Slot; variant: Slot }) =>
    (moment.baseline ? (slots.variant.id ?? slots.original.id) : slots.original.id) === id

  /** Changes to a stored recipe that were typed here and never saved. */
  function unsavedDraftOf(id: string): boolean {
    const draft = readDraft()
    return (
      draft !== null && belongsTo(id, draft.now, draft) && JSON.stringify(draft.now.recipe) !== draft.savedAs
    )
  }

  /** Loads a stored recipe, or the unsaved changes to it that this browser kept. */
  async function open(id: string) {
    if (now.value && belongsTo(id, now.value, { original: original.value, variant: variant.value })) return
    if (unsavedDraftOf(id) && resume()) return
    lay(await call<StoredWithParent>('GET', `/api/recipes/${encodeURIComponent(id)}`))
  }

  /** Throws unsaved changes away and takes what is stored. */
  async function reload() {
    if (!slot.value.id) return
    savedAs.value = asJson.value
    lay(await call<StoredWithParent>('GET', `/api/recipes/${slot.value.id}`))
  }

  /** Adapts to diets: a variant beside the original, or the variant adapted further. */
  async function adaptTo(dietIds: string[]): Promise<Change[]> {
    const [loaded] = await Promise.all([loadAdapt().catch(() => null), shelves.loadSwaps()])
    if (!loaded)
      refusal.value = 'What adapts a recipe could not be loaded: the server does not answer. Try again'
    if (!loaded || !now.value) return []
    const { adapt } = loaded
    try {
      const adaptation = adapt(now.value.recipe, dietIds, shelves.larder)
      takeVariant(adaptation.recipe, dietNames(dietIds))
      return adaptation.changes
    } catch (error) {
      if (!(error instanceof RecipeProblem)) throw error
      refusal.value = error.problems[0]!.message
      return []
    }
  }

  /** Lays an adapted recipe beside the one it came from, or goes on with the variant that is there. */
  function takeVariant(made: Recipe, names: readonly string[]) {
    if (!now.value) return
    const fresh = now.value.baseline === null
    if (fresh) variant.value = emptySlot()
    const added = names.length ? names.join(' and ') : 'changed'
    put({
      recipe: fresh ? { ...made, title: `${now.value.recipe.title}, ${added}`.slice(0, 200) } : made,
      baseline: now.value.baseline ?? now.value.recipe,
    })
  }

  /** Lays a recipe with one line swapped beside the one it came from. */
  function swapTo(next: Recipe) {
    if (!now.value) return
    takeVariant(next, [])
  }

  async function write(target: Slot, document: Recipe, parent: Slot | null): Promise<Stored> {
    if (target.id)
      return call('PUT', `/api/recipes/${target.id}`, { recipe: document, revision: target.revision })
    if (parent?.id)
      return call('POST', `/api/recipes/${parent.id}/variants`, {
        recipe: document,
        revision: parent.revision,
      })
    return call('POST', '/api/recipes', { recipe: document })
  }

  /** Saves what is on the bench, and its original first when that was never saved. Returns false on trouble. */
  async function save(): Promise<boolean> {
    if (!now.value || saving.value) return false
    saving.value = true
    trouble.value = null
    const { recipe: document, baseline: base } = now.value
    const json = JSON.stringify(document)
    try {
      if (base && !original.value.id) {
        const stored = await write(original.value, base, null)
        original.value = { id: stored.id, revision: stored.revision }
        keepDraft()
      }
      const stored = await write(
        base ? variant.value : original.value,
        document,
        base ? original.value : null,
      )
      const own = { id: stored.id, revision: stored.revision }
      if (base) variant.value = own
      else original.value = own
      savedAs.value = json
      keepDraft()
      return true
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      trouble.value = error.problem
      return false
    } finally {
      saving.value = false
    }
  }

  /** After a stale save: keeps this bench's document and saves it on top of what was stored meanwhile. */
  async function saveOver(): Promise<boolean> {
    const stored = trouble.value?.stored
    if (!stored) return false
    if (baseline.value) variant.value = { id: stored.id, revision: stored.revision }
    else original.value = { id: stored.id, revision: stored.revision }
    return save()
  }

  return {
    original,
    variant,
    slot,
    recipe,
    baseline,
    saving,
    trouble,
    refusal,
    aside,
    dirty,
    canUndo,
    canRedo,
    change,
    undo,
    redo,
    start,
    resume,
    takeBack,
    open,
    reload,
    adaptTo,
    takeVariant,
    swapTo,
    save,
    saveOver,
  }
})
