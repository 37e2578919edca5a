import { useEventListener } from '@vueuse/core'

export interface Key {
  /** As `KeyboardEvent.key`; "mod+s" means Ctrl or Command. */
  key: string
  says: string
  /** Also while typing in a field. */
  always?: boolean
  act: () => void
}

const active = shallowRef<Key[]>([])
const shown = ref(false)

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (/^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable)

function pressed(event: KeyboardEvent): string {
  const mod = event.ctrlKey || event.metaKey ? 'mod+' : ''
  return `${mod}${event.shiftKey && mod ? 'shift+' : ''}${event.key.length === 1 ? event.key.toLowerCase() : event.key}`
}

/** The keys of the place one is in, for the help that `?` opens. */
export function useKeys() {
  return { active, shown }
}

/** Makes keys work while a place is open. */
export function usePlaceKeys(keys: Key[]) {
  active.value = keys
  onUnmounted(() => {
    if (active.value === keys) active.value = []
  })
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.defaultPrevented || event.altKey) return
    const name = pressed(event)
    if (name === '?' && !isTyping(event.target)) {
      shown.value = true
      return
    }
    const key = keys.find((one) => one.key === name)
    if (!key || (isTyping(event.target) && !key.always)) return
    // A dialog has the keyboard to itself.
    if (document.querySelector('[role="dialog"]')) return
    event.preventDefault()
    key.act()
  })
}
