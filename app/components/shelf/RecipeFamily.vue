<script setup lang="ts">
import type { ListedRecipe } from '~~/shared/api/answers'
import type { Family } from '~/logic/families'
import { SHAPE_NAMES } from '~~/core/piece/shapes'

const { family } = defineProps<{ family: Family }>()
const emit = defineEmits<{ remove: [recipe: ListedRecipe] }>()

const members = computed(() => [family.root, ...family.variants])
const facts = computed(() => {
  const { summary } = family.root
  return summary
    ? `${SHAPE_NAMES[summary.shape]}, ${summary.pieces} pieces for ${summary.servings}`
    : 'Not ready to be reckoned: no dough yet'
})
/** What tells a variant from its original: the end of its title, or its diets. */
const captionOf = (recipe: ListedRecipe) =>
  recipe === family.root
    ? 'As written'
    : recipe.title.startsWith(`${family.root.title}, `)
      ? recipe.title.slice(family.root.title.length + 2)
      : recipe.title
</script>

<template>
  <article class="family">
    <h2>
      <NuxtLink :to="`/bench/${family.root.id}`">{{ family.root.title }}</NuxtLink>
    </h2>
    <p class="soft small">
      {{ facts
      }}<template v-if="family.variants.length"
        >.
        <NuxtLink
          :to="{
            path: '/compare',
            query: {
              ids: members
                .slice(0, 4)
                .map((one) => one.id)
                .join(','),
            },
          }"
          >Compare</NuxtLink
        ></template
      >
    </p>
    <ul class="plank">
      <li v-for="recipe in members" :key="recipe.id">
        <NuxtLink :to="`/bench/${recipe.id}`" :aria-label="`Open ${recipe.title}`" class="stand">
          <CrossSection
            v-if="recipe.summary"
            :pieces="[{ caption: recipe.title, shape: recipe.summary.shape, grams: recipe.summary.piece }]"
            :height="106"
            bare
          />
          <span v-else class="unset soft small">no piece yet</span>
        </NuxtLink>
        <div class="label">
          <NuxtLink :to="`/bench/${recipe.id}`" class="caption">{{ captionOf(recipe) }}</NuxtLink>
          <span v-if="recipe.summary" class="small">
            <strong>{{ Math.round(recipe.summary.energyKcal) }}</strong> kcal
            <strong>{{ Math.round(recipe.summary.proteinG) }}</strong> g protein
          </span>
          <span
            v-for="diet in recipe.diets"
            :key="diet"
            class="sign"
            :class="recipe.summary?.fits.includes(diet) ? 'fits' : 'stop'"
          >
            {{ recipe.summary?.fits.includes(diet) ? '✓' : '✕ not' }} {{ diet }}
          </span>
          <button
            type="button"
            class="take small soft"
            :aria-label="`Take ${recipe.title} off the shelf`"
            @click="emit('remove', recipe)"
          >
            take off
          </button>
        </div>
      </li>
      <li
        v-if="!family.variants.length && family.root.summary && !family.root.summary.fits.includes('vegan')"
      >
        <NuxtLink :to="{ path: `/bench/${family.root.id}`, query: { make: 'vegan' } }" class="stand vacant"
          ><span>Make it vegan</span></NuxtLink
        >
        <div class="label" aria-hidden="true" />
      </li>
      <li class="rest" aria-hidden="true">
        <span class="stand" />
        <div class="label" />
      </li>
    </ul>
  </article>
</template>

<style scoped>
.family {
  display: grid;
  grid-template-rows: auto auto 1fr;
  align-content: start;
}
h2 a {
  color: inherit;
  text-decoration: none;
}
h2 a:hover {
  text-decoration: underline;
}
.plank {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
}
.plank li {
  display: grid;
  grid-template-rows: auto 1fr;
  flex: 1 1 10.5rem;
  max-width: 14rem;
}
.stand {
  display: grid;
  align-items: end;
  height: 6.6rem;
  text-decoration: none;
}
.stand :deep(.board) {
  stroke: none;
}
.vacant {
  place-items: center;
  margin: 0 1.2rem 0.5rem;
  height: 4.2rem;
  margin-top: 1.9rem;
  border: 2px dashed var(--rule-strong);
  border-radius: 45% 45% 8px 8px;
}
.rest {
  flex: 1 1 0 !important;
  max-width: none !important;
}
.unset {
  align-self: end;
  padding-bottom: 0.4rem;
}
.label {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  padding: 0.35rem 0.5rem 0 0;
  border-top: 3px solid var(--ink);
}
.caption {
  color: inherit;
  font-weight: 640;
}
.take {
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
}
.take:hover {
  color: var(--stop);
  text-decoration: underline;
}
</style>
