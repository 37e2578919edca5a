<script setup lang="ts">
// Nothing is said before somebody has done something: it can come after the page.
const Toast = defineAsyncComponent(() => import('primevue/toast'))

const { dark, toggle } = useAppearance()
const { shown: keysShown } = useKeys()
const shelves = useLarderStore()
// Own foods and prices are wanted on every place; none waits for them.
onMounted(() => {
  void shelves.load()
  // The tray is wanted after the bench at the earliest: it comes once that stands, and is there when the server is away.
  setTimeout(() => void preloadRouteComponents('/tray').then(() => preloadRouteComponents('/clock')), 4000)
})
</script>

<template>
  <div class="page">
    <header class="bar no-print">
      <NuxtLink to="/" class="mark"
        ><img src="/icon.svg" alt="" width="26" height="26" />Swap Pocket</NuxtLink
      >
      <nav aria-label="Places">
        <NuxtLink to="/">Shelf</NuxtLink>
        <span class="dish">
          <NuxtLink to="/bench">Bench</NuxtLink>
          <NuxtLink to="/tray" :prefetch="false">Tray</NuxtLink>
          <NuxtLink to="/clock" :prefetch="false">Clock</NuxtLink>
          <NuxtLink to="/stove" :prefetch="false">Stove</NuxtLink>
          <NuxtLink to="/notebook" :prefetch="false" class="wide">Notebook</NuxtLink>
        </span>
        <NuxtLink to="/table" :prefetch="false" class="wide">Table</NuxtLink>
        <NuxtLink to="/larder" class="wide">Larder</NuxtLink>
        <NuxtLink to="/settings" :prefetch="false" class="wide">Settings</NuxtLink>
      </nav>
      <NuxtLink to="/paste" class="paste">Paste</NuxtLink>
      <span class="space" />
      <NuxtLink to="/notebook" :prefetch="false" class="narrow">Notebook</NuxtLink>
      <NuxtLink to="/table" :prefetch="false" class="narrow">Table</NuxtLink>
      <NuxtLink to="/larder" :prefetch="false" class="narrow">Larder</NuxtLink>
      <NuxtLink to="/settings" :prefetch="false" class="narrow">Settings</NuxtLink>
      <button type="button" class="quiet" @click="keysShown = true"><kbd>?</kbd> Keys</button>
      <button type="button" class="quiet" :aria-pressed="dark" @click="toggle">
        {{ dark ? 'Light' : 'Dark' }}
      </button>
    </header>
    <slot />
    <LazyKeysDialog v-if="keysShown" v-model:visible="keysShown" />
    <Toast position="bottom-center" />
  </div>
</template>

<style scoped>
.page {
  display: flex;
  flex-direction: column;
  min-height: 100vh;
}
.bar {
  display: flex;
  align-items: center;
  gap: 1.5rem;
  height: 3rem;
  padding: 0 1.25rem;
  border-bottom: 2px solid var(--ink);
  background: var(--sheet);
}
.mark {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  color: var(--ink);
  font-weight: 720;
  text-decoration: none;
}
nav {
  display: flex;
  gap: 1.1rem;
  height: 100%;
}
nav a {
  display: inline-flex;
  align-items: center;
  margin-bottom: -2px;
  border-bottom: 4px solid transparent;
  color: var(--ink-soft);
  text-decoration: none;
}
nav a:hover {
  color: var(--ink);
}
nav a.router-link-exact-active,
nav a[href='/bench'].router-link-active,
nav a[href='/larder'].router-link-active {
  border-color: var(--beet);
  color: var(--ink);
  font-weight: 640;
}
/* The dish in hand: one after another, in the order of the work. */
.dish {
  display: contents;
}
.dish a + a {
  position: relative;
}
.dish a + a::before {
  position: absolute;
  left: -0.8rem;
  color: var(--rule-strong);
  content: '›';
}
.paste {
  padding: 0.15rem 0.6rem;
  border: 1px solid var(--beet);
  border-radius: 4px;
  text-decoration: none;
}
.space {
  flex: 1;
}
.quiet {
  padding: 0.2rem 0.3rem;
  border: 0;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.quiet:hover {
  color: var(--ink);
}
kbd {
  padding: 0 0.35em;
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  font-family: inherit;
}
/* Where the bar at the bottom holds five, the others stand at the top. */
.narrow {
  display: none;
}
@media (max-width: 640px) {
  .narrow {
    display: inline;
    font-size: 0.95rem;
  }
  nav a.wide {
    display: none;
  }
  .bar {
    gap: 0.7rem;
    padding: 0 0.6rem;
  }
  .mark {
    font-size: 0;
  }
  /* The colours are a setting there. */
  .quiet {
    display: none;
  }
  /* The places lie where the thumb is. */
  nav {
    position: fixed;
    inset: auto 0 0;
    z-index: 3;
    justify-content: space-around;
    gap: 0;
    height: 3.25rem;
    border-top: 1px solid var(--rule-strong);
    background: var(--sheet);
  }
  .dish a + a::before {
    content: none;
  }
  nav a {
    margin: -1px 0 0;
    padding: 0 0.6rem;
    border-top: 4px solid transparent;
    border-bottom: 0;
  }
  .page {
    padding-bottom: 3.5rem;
  }
}
@media print {
  .page {
    padding: 0;
  }
}
</style>
