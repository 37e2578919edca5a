<script setup lang="ts">
import type { Intake } from '~~/core/reading/readRecipe'
import { PART_WORDS, SHAPE_WORDS, showGrams, WAY_WORDS } from '~/logic/format'

const shelves = useLarderStore()

const { intake } = defineProps<{ intake: Intake }>()

const recipe = computed(() => intake.recipe)
const doubts = computed(() => recipe.value.notes.filter((note) => note.level === 'check'))
const foodName = (id: string | null) => (id ? shelves.larder.foods.get(id)?.name : null)
</script>

<template>
  <header>
    <h2 id="read-title">{{ recipe.title }}</h2>
    <p>
      {{ recipe.pieces }} pieces, serves {{ recipe.servings }}. {{ WAY_WORDS[recipe.cooking.way]
      }}<template v-if="recipe.cooking.temperatureC"> at {{ recipe.cooking.temperatureC }} °C</template>.
      {{ SHAPE_WORDS[recipe.shape] }}.
    </p>
    <p v-for="doubt in doubts" :key="doubt.text" class="small">
      <span class="sign watch">check</span> {{ doubt.text }}
    </p>
    <p v-if="intake.unresolved.length" class="small">
      <span class="sign stop">✕ {{ intake.unresolved.length }}</span>
      {{ intake.unresolved.length === 1 ? 'line needs' : 'lines need' }} a food or a weight. They are kept.
    </p>
  </header>
  <section v-for="part in recipe.parts" :key="part.id">
    <h3>{{ part.name || PART_WORDS[part.kind] }}</h3>
    <ul>
      <li v-for="line in part.lines" :key="line.id">
        <span class="grams">{{ line.grams === null ? '?' : showGrams(line.grams) }}<small> g</small></span>
        <span>
          {{ foodName(line.foodId) ?? 'not in the larder' }}
          <span class="soft small">{{ line.raw }}</span>
          <span
            v-for="note in line.notes.filter((one) => one.level === 'check')"
            :key="note.text"
            class="doubt small"
            ><span class="sign watch">check</span> {{ note.text }}</span
          >
        </span>
      </li>
    </ul>
  </section>
  <p v-if="recipe.method.length" class="soft small">Method: {{ recipe.method.length }} steps</p>
</template>

<style scoped>
header,
section {
  display: grid;
  gap: 0.2rem;
}
li {
  display: grid;
  grid-template-columns: 4.2rem 1fr;
  gap: 0.75rem;
  padding: 0.1rem 0;
  border-top: 1px solid var(--rule);
}
.grams {
  font-weight: 640;
  text-align: right;
}
small {
  color: var(--ink-soft);
  font-weight: 400;
}
.doubt {
  display: block;
}
</style>
