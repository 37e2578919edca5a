<script setup lang="ts">
import { useEventListener } from '@vueuse/core'

const { sections } = defineProps<{
  /** Ids of the headings, in the order in which they stand. */
  sections: { id: string; name: string }[]
}>()

const index = useTemplateRef<HTMLElement>('index')
const here = ref(sections[0]!.id)

/** The section whose heading was passed last. */
function look() {
  const nav = index.value
  if (!nav) return
  const line = nav.getBoundingClientRect().bottom + 8
  const passed = sections.filter(
    ({ id }) => (document.getElementById(id)?.getBoundingClientRect().top ?? Infinity) <= line,
  )
  here.value = (passed.at(-1) ?? sections[0]!).id
}
// The panel scrolls by itself on a wide screen and with the page on a narrow one: both are heard here.
useEventListener(document, 'scroll', look, { capture: true, passive: true })

function go(id: string) {
  const heading = document.getElementById(id)
  const calm = matchMedia('(prefers-reduced-motion: reduce)').matches
  heading?.scrollIntoView({ block: 'start', behavior: calm ? 'auto' : 'smooth' })
  heading?.setAttribute('tabindex', '-1')
  heading?.focus({ preventScroll: true })
  here.value = id
}
</script>

<template>
  <nav ref="index" class="no-print" aria-label="On this side">
    <button
      v-for="section in sections"
      :key="section.id"
      type="button"
      :aria-current="section.id === here ? 'location' : undefined"
      @click="go(section.id)"
    >
      {{ section.name }}
    </button>
  </nav>
</template>

<style scoped>
nav {
  position: sticky;
  top: 0;
  z-index: 1;
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.9rem;
  margin: -0.8rem -1.25rem 0;
  padding: 0.35rem 1.25rem 0.3rem;
  border-bottom: 1px solid var(--rule);
  background: var(--sheet);
}
button {
  min-height: 1.75rem;
  padding: 0;
  border: 0;
  border-bottom: 2px solid transparent;
  background: none;
  color: var(--ink-soft);
  font: inherit;
  font-size: 0.875rem;
  cursor: pointer;
}
[aria-current] {
  border-color: var(--beet);
  color: var(--ink);
}
@media (max-width: 960px) {
  nav {
    top: 2.75rem;
    margin: -0.75rem -0.75rem 0;
    padding-inline: 0.75rem;
  }
}
</style>
