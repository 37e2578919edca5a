<script setup lang="ts">
import { refDebounced, useLocalStorage } from '@vueuse/core'
import { tooLong } from '~~/core/reading/limits'
import type { Recipe } from '~~/core/recipe/document'
import { textOfPasted } from '~/logic/recipeFiles'

const EXAMPLE = `Leek and cheese turnovers
Makes 8, serves 4

Dough
250 g plain flour
125 g cold butter
1 egg yolk
3 tbsp cold water
½ tsp salt

For the filling
2 leeks, finely sliced
1 tbsp butter
150 g cheddar, grated
1 tsp mustard

To finish
1 egg, beaten

Method
Bake at 180 °C for 25 minutes.`

// Kept in the browser while it is typed: nothing is lost by a reload.
const text = useLocalStorage('swap-pocket:paste', '')
const settled = refDebounced(text, 120, { maxWait: 400 })
const { intake, reading, trouble, answer, weigh, read, forget } = useIntake(settled)
/** Only what takes longer than the eye waits is said. */
const slow = refDebounced(reading, 300)
const lineCount = computed(() => intake.value?.lines.length ?? 0)
/** The line of the text that is pointed at, on either side. */
const lit = ref<number | null>(null)

const bench = useBenchStore()
const router = useRouter()

async function lay() {
  // Read again: the last keystrokes may not have settled yet.
  const last = await read(text.value)
  if (!last) return
  bench.start(last.recipe)
  clear()
  router.push('/bench')
}
/** Our own document needs no reading. */
function layDocument(recipe: Recipe) {
  bench.start(recipe)
  router.push('/bench')
}
// A page or JSON-LD that is pasted whole becomes the text of its recipe; nothing of it is shown as it came.
watch(settled, async (pasted) => {
  const own = await textOfPasted(pasted ?? '')
  if (own !== null && pasted === text.value) text.value = own
})
function clear() {
  text.value = ''
  forget()
}

const overLength = computed(() => tooLong(text.value))
useHead({ title: 'Paste · Swap Pocket' })
usePlaceKeys([{ key: 'mod+Enter', says: 'Put it on the bench', always: true, act: lay }])
</script>

<template>
  <main>
    <section class="typed">
      <h1><label for="paste-text">Paste a recipe</label></h1>
      <p class="soft small">
        As you have it, from a page, a card or your head. Beside each line stands what it was taken for; a
        question mark asks you to look.
      </p>
      <MarkedText v-model="text" v-model:lit="lit" :intake="intake" />
      <p v-if="overLength" role="alert" class="small"><span class="sign stop">✕</span> {{ overLength }}.</p>
      <p v-if="trouble" role="alert" class="small"><span class="sign stop">✕</span> {{ trouble }}</p>
      <p class="ways">
        <Button label="Put it on the bench" :disabled="!lineCount" @click="lay" />
        <Button
          v-if="!text"
          label="Show me with an example"
          severity="secondary"
          outlined
          @click="text = EXAMPLE"
        />
        <Button v-else label="Clear" severity="secondary" text @click="clear" />
      </p>
      <OpenFiles
        @text="(opened) => (text = opened)"
        @recipe="({ recipe }) => layDocument(recipe as Recipe)"
      />
    </section>
    <section class="read" aria-live="polite" aria-labelledby="read-title" :aria-busy="slow">
      <p v-if="slow" class="soft small" role="status">Reading what you pasted</p>
      <ReadBack v-if="intake" v-model:lit="lit" :intake="intake" @answer="answer" @grams="weigh" />
      <div v-else class="nothing soft">
        <h2 id="read-title">What is read</h2>
        <p>
          Every line appears here in grams as you type, with anything doubtful marked. You can put it right on
          the bench.
        </p>
      </div>
    </section>
  </main>
</template>

<style scoped>
main {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  flex: 1;
}
.typed,
.read {
  display: flex;
  flex-direction: column;
  gap: 0.6rem;
  padding: 0.9rem 1.25rem 1.5rem;
}
.read {
  border-left: 1px solid var(--rule-strong);
  background: var(--sheet);
}
.ways {
  display: flex;
  gap: 0.5rem;
}
.nothing {
  display: grid;
  gap: 0.5rem;
  max-width: 26rem;
  margin: 4rem auto;
}
@media (min-width: 961px) {
  main {
    height: calc(100vh - 3rem);
  }
  .read {
    overflow-y: auto;
  }
}
@media (max-width: 960px) {
  main {
    display: block;
  }
  .typed,
  .read {
    padding: 0.75rem;
    border: 0;
  }
  .nothing {
    margin: 1rem auto;
  }
}
</style>
