import { defineStore } from 'pinia'
import { useLocalStorage } from '@vueuse/core'
import type { TableAnswer } from '~~/shared/api/table'
import { ApiProblem, call } from '~/logic/api'

export interface KnownGuest {
  id: string
  name: string
  diets: string[]
  /** Foods by their ids. */
  avoid: string[]
  /** It is an allergy: said on the cards, and who to ask. */
  allergy: boolean
  likes: string
  pieces: number
  /** Comes this time. */
  comes: boolean
}

const MAX_UNDO = 60

/** The guests, kept in this browser and used again, and the table that is set for those who come. */
export const useTableStore = defineStore('table', () => {
  const bench = useBenchStore()
  const guests = useLocalStorage<KnownGuest[]>('swap-pocket:guests', [])
  const kinds = useLocalStorage<number | null>('swap-pocket:table-kinds', null, {
    serializer: { read: (text) => (text === 'null' ? null : Number(text)), write: String },
  })
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
        allergy: false,
        likes: '',
        pieces: 2,
        comes: true,
      },
    ])
  const put = (id: string, fields: Partial<KnownGuest>) =>
    change(guests.value.map((one) => (one.id === id ? { ...one, ...fields } : one)))
  const remove = (id: string) => change(guests.value.filter((one) => one.id !== id))
  const coming = computed(() => guests.value.filter(({ comes }) => comes))

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
        guests: coming.value.map(({ id, diets, avoid, pieces }) => ({ id, diets, avoid, pieces })),
        options: { kinds: kinds.value },
      })
      if (own === asked) {
        table.value = answer
        trouble.value = ''
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
    kinds,
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
