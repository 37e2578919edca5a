import { useLocalStorage, usePreferredDark } from '@vueuse/core'

/** Light or dark: the cook's choice, or the device's until one is made. */
export function useAppearance() {
  const chosen = useLocalStorage<'light' | 'dark' | ''>('swap-pocket:appearance', '')
  const preferred = usePreferredDark()
  const dark = computed(() => (chosen.value ? chosen.value === 'dark' : preferred.value))
  watchEffect(() => document.documentElement.classList.toggle('dark', dark.value))
  const toggle = () => (chosen.value = dark.value ? 'light' : 'dark')
  return { dark, toggle }
}
