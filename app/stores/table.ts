import { defineStore } from 'pinia'
import { useLocalStorage } from '@vueuse/core'
import type { TableAnswer } from '~~/shared/api/table'
import type { Strength } from '~~/core/table/guest'
import { ApiProblem, call } from '~/logic/api'
import { guestsFrom } from '~/logic/guests'

export interface KnownGuest {
  id: string
  name: string
  diets: string[]
  /** Foods by their ids. */
  avoid: string[]
  /** An allergy is said on the cards, with whom to ask; a preference may be passed over where nothing suits. */
  strength: Strength
  /** Foods by their ids; any of them will do. */
  likes: string[]
  pieces: number
  /** Comes this time. */
  comes: boolean
}

/** So many kinds, doughs and fillings; null for as few and near as may be. */
export interface TableWish {
  choice: { kinds: number; doughs: number; fillings: number } | null
  mixed: boolean
}

const MAX_UNDO = 60

/** The guests, kept in this browser and used again, and the table that is set for those who come. */
export const useTableStore = defineStore('table', () => {
  const bench = useBenchStore()
  const clock = useClockStore()
  const guests = useLocalStorage<KnownGuest[]>('swap-pocket:guests', [], {
    serializer: { read: guestsFrom, write: JSON.stringify },
  })
  /** Which of the options is asked for, and whether plates are mixed. */
  const wish = useLocalStorage<TableWish>('swap-pocket:table', { choice: null, mixed: false })
  const table = shallowRef<TableAnswer | null>(null)
  const trouble = ref('')
  const setting = ref(false)
  const past = shallowRef<string[]>([])
  const future = shallowRef<string[]>([])

  function step(from: typeof past, to: typeof past) {
    const text = from.value.at(-1)
    if (text === undefined) return
    to.value = [...to.value, JSON.stringify(guests.value)]
    from.value = from.value.slice(0, -1)
    guests.value = JSON.parse(text)
  }
  const undo = () => step(past, future)
  const redo = () => step(future, past)
  /** Changes the guests as one step that can be undone. */
  function change(next: KnownGuest[]) {
    past.value = [...past.value.slice(-MAX_UNDO + 1), JSON.stringify(guests.value)]
    future.value = []
    guests.value = next
  }
  const add = () =>
    change([
      ...guests.value,
      {
        id: crypto.randomUUID(),
        name: `Guest ${guests.value.length + 1}`,
        diets: [],
        avoid: [],
        strength: 'intolerance',
        likes: [],
        pieces: 2,
        comes: true,
      },
    ])
  const put = (id: string, fields: Partial<KnownGuest>) =>
    change(guests.value.map((one) => (one.id === id ? { ...one, ...fields } : one)))
  const remove = (id: string) => change(guests.value.filter((one) => one.id !== id))
  const coming = computed(() => guests.value.filter(({ comes }) => comes))

  /** The recipe that the table is set with, by its id or title. */
  const setWith = () => bench.slot.id ?? bench.recipe?.title ?? ''
  const dishes = computed(() => table.value?.dishes.map(({ recipe }) => recipe) ?? [])
  /** Takes the dinner to the clock, the tray, the list and the stove; from then on it follows the guests. */
  const send = () => clock.layTable(setWith(), dishes.value)

  let asked = 0
  async function set() {
    const own = ++asked
    if (!bench.recipe || !coming.value.length) {
      table.value = null
      return
    }
    setting.value = true
    try {
      const answer = await call<TableAnswer>('POST', '/api/table', {
        recipe: bench.recipe,
        guests: coming.value.map(({ name: _, comes: __, ...asked }) => asked),
        options: { ...wish.value.choice, mixed: wish.value.mixed },
      })
      if (own === asked) {
        table.value = answer
        trouble.value = ''
        if (clock.sentBy(setWith())) clock.layTable(setWith(), dishes.value)
      }
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      if (own === asked) trouble.value = error.problem.errors?.[0]?.message ?? error.problem.detail
    } finally {
      if (own === asked) setting.value = false
    }
  }
  const canUndo = computed(() => past.value.length > 0)
  const canRedo = computed(() => future.value.length > 0)
  return {
    guests,
    coming,
    wish,
    send,
    table,
    trouble,
    setting,
    add,
    put,
    remove,
    set,
    undo,
    redo,
    canUndo,
    canRedo,
  }
})
