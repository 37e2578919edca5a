import { defineStore } from 'pinia'
import { RecipeProblem } from '~~/core/recipe/problem'
import type { Recipe } from '~~/core/recipe/document'
import type { Change } from '~~/core/substitution/applySwap'
import type { ProblemDocument, StoredRecipe, StoredWithParent } from '~~/shared/api/answers'
import { ApiProblem, call } from '~/logic/api'
import * as drafts from '~/logic/drafts'
import type { Attempt, Draft, Moment, Slot } from '~/logic/drafts'
import { dietNames } from '~/logic/dietGroups'

const MAX_UNDO = 100
/** The search is large and wanted after the first look: it comes when the page is idle, or when it is asked for. */
export const loadAdapt = () => import('~~/core/adaptation/adapt')
const emptySlot = (): Slot => ({ id: null, revision: null })

/** How often it is looked whether the server is back. */
const LOOK_MILLISECONDS = 2000
/** The recipe that was on the bench last, for when nothing unsaved is. */
const LAST = 'swap-pocket:last'

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
  /** Unsaved work that was put aside for what is on the bench now. */
  const putAside = shallowRef<Draft | null>(null)
  const aside = computed(() => putAside.value?.now.recipe.title ?? '')
  /** The same document has unsaved changes in another tab. */
  const elsewhere = ref(false)
  /** The cook wanted it saved and the server was away: it is saved when it is back. */
  const waiting = ref(false)
  const attempt = shallowRef<Attempt | null>(null)
  /** Of a document that was never saved. */
  const ownName = ref('')
  let keptAs: string | null = null
  /** What stopped the last adaptation before it began. */
  const refusal = ref('')

  const recipe = computed(() => now.value?.recipe ?? null)
  const baseline = computed(() => now.value?.baseline ?? null)
  /** Lines are marked against the diets the recipe was adapted to, and against vegan until then. */
  const lens = computed(() => (now.value?.recipe.diets.length ? now.value.recipe.diets : ['vegan']))
  const slot = computed(() => (baseline.value ? variant.value : original.value))
  const asJson = computed(() => (recipe.value ? JSON.stringify(recipe.value) : ''))
  const dirty = computed(() => recipe.value !== null && asJson.value !== savedAs.value)
  const canUndo = computed(() => past.value.length > 0)
  const canRedo = computed(() => future.value.length > 0)

  const draftNow = (): Draft | null =>
    now.value && {
      about:
        drafts.aboutOf({ now: now.value, original: original.value, variant: variant.value }) ?? ownName.value,
      tab: drafts.ownTab(),
      original: original.value,
      variant: variant.value,
      now: now.value,
      savedAs: savedAs.value,
      keptAt: Date.now(),
      attempt: attempt.value,
      wantsSave: waiting.value,
    }

  /** Keeps what is unsaved in the browser, under the document's own name; what is saved needs no copy. */
  function keepDraft() {
    const draft = draftNow()
    if (!draft) return
    if (keptAs !== null && keptAs !== draft.about) void drafts.drop({ about: keptAs, tab: draft.tab })
    keptAs = draft.about
    if (dirty.value) drafts.keep(draft)
    else {
      void drafts.drop(draft)
      try {
        localStorage.setItem(LAST, draft.about)
      } catch {
        // Only a convenience.
      }
    }
    tellOthers(draft)
  }

  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('swap-pocket')
  // In tests a channel would keep the process from ending.
  ;(channel as { unref?: () => void } | null)?.unref?.()
  const tellOthers = ({ about, tab }: Draft) => channel?.postMessage({ about, tab, unsaved: dirty.value })
  channel?.addEventListener(
    'message',
    ({ data }: MessageEvent<{ about: string; tab: string; unsaved: boolean }>) => {
      if (data.tab !== drafts.ownTab() && data.about === draftNow()?.about) elsewhere.value = data.unsaved
    },
  )

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

  function begin(
    moment: Moment,
    slots: { original: Slot; variant: Slot },
    saved: string,
    kept: Draft | null = null,
  ) {
    // What was unsaved is kept under its own name; here it is only said.
    putAside.value = dirty.value ? draftNow() : null
    original.value = slots.original
    variant.value = slots.variant
    past.value = []
    future.value = []
    savedAs.value = saved
    ownName.value = kept?.about ?? crypto.randomUUID()
    attempt.value = kept?.attempt ?? null
    keptAs = null
    elsewhere.value = false
    now.value = moment
    trouble.value = null
    refusal.value = ''
    waiting.value = false
    keepDraft()
    if (kept?.wantsSave) saveWhenBack()
    // What the tables do not hold arrives a moment later; until then its lines are said to be unknown.
    void shelves.knowFoodsOf(moment.recipe)
    void shelves.knowFoodsOf(moment.baseline)
  }

  /** Lays a draft on the bench; one of a tab that is gone becomes this tab's. */
  function layDraft(draft: Draft) {
    if (draft.tab !== drafts.ownTab()) void drafts.drop(draft)
    begin(draft.now, { original: draft.original, variant: draft.variant }, draft.savedAs, draft)
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

  /** Drafts that this tab may take: its own, and those of tabs that are gone. The latest first, its own before others. */
  async function freeDrafts(): Promise<{ free: Draft[]; taken: Draft[] }> {
    const [all, others] = await Promise.all([drafts.allDrafts(), drafts.otherTabs()])
    const free = all.filter(({ tab }) => !others.has(tab))
    const own = drafts.ownTab()
    free.sort((a, b) => Number(b.tab === own) - Number(a.tab === own) || b.keptAt - a.keptAt)
    return { free, taken: all.filter(({ tab }) => others.has(tab)) }
  }

  /** Goes on with what this browser kept: unsaved work, or the recipe that was here last. False when there is none. */
  async function resume(): Promise<boolean> {
    const { free } = await freeDrafts()
    if (free[0]) {
      layDraft(free[0])
      return true
    }
    const last = localStorage.getItem(LAST)
    if (!last) return false
    try {
      await open(last)
      return true
    } catch (error) {
      if (!(error instanceof ApiProblem) || error.away) throw error
      localStorage.removeItem(LAST)
      return false
    }
  }

  /** Lays the work that was put aside on the bench again. */
  function takeBack() {
    if (putAside.value) layDraft(putAside.value)
  }

  /** The id of the stored recipe under whose address the bench's document stands. */
  const addressOf = () =>
    now.value && drafts.aboutOf({ now: now.value, original: original.value, variant: variant.value })

  /** Loads a stored recipe, or the unsaved changes to it that this browser kept. */
  async function open(id: string) {
    if (now.value && addressOf() === id) return
    const { free, taken } = await freeDrafts()
    const draft = free.find(({ about }) => about === id)
    if (draft) layDraft(draft)
    else lay(await call<StoredWithParent>('GET', `/api/recipes/${encodeURIComponent(id)}`))
    elsewhere.value = taken.some(({ about }) => about === id)
  }

  /** Throws unsaved changes away and takes what is stored. */
  async function reload() {
    if (!slot.value.id) return
    const stored = await call<StoredWithParent>('GET', `/api/recipes/${slot.value.id}`)
    savedAs.value = asJson.value
    lay(stored)
  }

  /** Adapts to diets: a variant beside the original, or the variant adapted further. */
  async function adaptTo(dietIds: string[]): Promise<Change[]> {
    const [loaded] = await Promise.all([loadAdapt().catch(() => null), shelves.loadSwaps()])
    if (!loaded)
      refusal.value = 'What adapts a recipe could not be loaded: the server does not answer. Try again'
    if (!loaded || !now.value) return []
    const { adapt } = loaded
    try {
      const adaptation = adapt(now.value.recipe, dietIds, shelves.reference)
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

  /** Sends a creation under a key: sent again because its answer was lost, it is done once. */
  async function sendCreation(own: Attempt): Promise<StoredRecipe> {
    attempt.value = own
    keepDraft()
    try {
      const stored = await call<StoredRecipe>('POST', own.path, JSON.parse(own.body), {
        'idempotency-key': own.key,
      })
      attempt.value = null
      return stored
    } catch (error) {
      if (error instanceof ApiProblem && !error.away) attempt.value = null
      throw error
    }
  }

  const putRevision = (slot: Slot, document: Recipe) =>
    call<StoredRecipe>('PUT', `/api/recipes/${slot.id}`, { recipe: document, revision: slot.revision })

  async function write(target: Slot, document: Recipe, parent: Slot | null): Promise<StoredRecipe> {
    if (target.id) return putRevision(target, document)
    const [path, body] = parent?.id
      ? [`/api/recipes/${parent.id}/variants`, { recipe: document, revision: parent.revision }]
      : ['/api/recipes', { recipe: document }]
    const own = { key: crypto.randomUUID(), path, body: JSON.stringify(body) }
    const earlier = attempt.value?.path === path ? attempt.value : null
    if (!earlier) return sendCreation(own)
    // What was sent before its answer was lost may be stored: that comes first, and the rest is a change of it.
    const stored = await sendCreation(earlier)
    return earlier.body === own.body ? stored : putRevision(stored, document)
  }

  let looking: ReturnType<typeof setTimeout> | undefined
  /** Saves as soon as the server is back, and goes on looking until then. */
  function saveWhenBack() {
    waiting.value = true
    keepDraft()
    clearTimeout(looking)
    looking = setTimeout(async () => {
      const back = await call('GET', '/api/ready').then(
        () => true,
        () => false,
      )
      if (!waiting.value) return
      if (back) await save()
      else saveWhenBack()
    }, LOOK_MILLISECONDS)
    ;(looking as { unref?: () => void }).unref?.()
  }

  /** Saves what is on the bench, and its original first when that was never saved. Returns false on trouble. */
  async function save(): Promise<boolean> {
    if (!now.value || saving.value) return false
    saving.value = true
    waiting.value = false
    clearTimeout(looking)
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
      if (error.away) saveWhenBack()
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
    lens,
    saving,
    trouble,
    refusal,
    aside,
    elsewhere,
    waiting,
    dirty,
    canUndo,
    canRedo,
    change,
    undo,
    redo,
    start,
    resume,
    takeBack,
    layDraft,
    open,
    reload,
    adaptTo,
    takeVariant,
    swapTo,
    save,
    saveOver,
  }
})
