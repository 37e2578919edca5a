<script setup lang="ts">
import { PART_NAMES } from '~~/core/recipe/vocabulary'
import type { Intake, IntakeRow } from '~~/core/reading/readRecipe'

const { intake } = defineProps<{ intake: Intake | null }>()
const text = defineModel<string>({ required: true })
/** The line of the text that the reader points at, here or beside it. */
const lit = defineModel<number | null>('lit', { required: true })

const BECAME: Record<IntakeRow['became'], string> = {
  title: 'title',
  heading: 'heading',
  ingredient: '',
  step: 'step',
  remark: 'remark',
  count: 'count',
  'left-out': 'left out',
}
const rows = computed(() => new Map(intake?.rows.map((row) => [row.row, row])))
const partOf = computed(
  () => new Map(intake?.recipe.parts.flatMap((part) => part.lines.map((line) => [line.id, part]))),
)
const doubtful = computed(
  () =>
    new Set(
      intake?.recipe.parts.flatMap((part) =>
        part.lines
          .filter((line) => part.unsure || line.notes.some((note) => note.level === 'check'))
          .map((line) => line.id),
      ),
    ),
)

/** Each line of the text with what it became: a word beside it, and a tint that only repeats the word. */
const marked = computed(() =>
  text.value.split('\n').map((line, at) => {
    const row = rows.value.get(at)
    const part = row?.lineIds.map((id) => partOf.value.get(id)).find(Boolean)
    const word = !row
      ? ''
      : row.became === 'ingredient'
        ? part
          ? PART_NAMES[part.kind].toLowerCase()
          : 'kept'
        : BECAME[row.became]
    const doubt = row?.lineIds.some((id) => doubtful.value.has(id)) ?? false
    return {
      line,
      word,
      kind: row?.became === 'ingredient' ? (part?.kind ?? 'kept') : (row?.became ?? ''),
      doubt,
    }
  }),
)

const mirror = useTemplateRef<HTMLElement>('mirror')
const area = useTemplateRef<HTMLTextAreaElement>('area')
function scroll() {
  if (mirror.value && area.value) mirror.value.scrollTop = area.value.scrollTop
}
function point() {
  const at = area.value?.selectionStart ?? 0
  lit.value = text.value.slice(0, at).split('\n').length - 1
}
watch(marked, () => nextTick(scroll))
</script>

<template>
  <div class="marked">
    <div ref="mirror" class="mirror" aria-hidden="true">
      <div
        v-for="(row, at) in marked"
        :key="at"
        class="row"
        :data-kind="row.kind"
        :class="{ lit: lit === at, doubt: row.doubt }"
      >
        <span class="text">{{ row.line || '\u00a0' }}</span>
        <span class="word">{{ row.doubt ? `? ${row.word}` : row.word }}</span>
      </div>
    </div>
    <textarea
      id="paste-text"
      ref="area"
      v-model="text"
      placeholder="Title&#10;Makes 16, serves 8&#10;&#10;Dough&#10;500 g flour&#10;…"
      autofocus
      spellcheck="false"
      @scroll="scroll"
      @keyup="point"
      @click="point"
      @blur="lit = null"
    />
  </div>
</template>

<style scoped>
.marked {
  position: relative;
  flex: 1;
  min-height: 24rem;
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  background: var(--sheet);
}
.mirror,
textarea {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  padding: 0.5rem 5.2rem 0.5rem 0.8rem;
  border: 0;
  font: inherit;
  line-height: 1.5rem;
  letter-spacing: inherit;
  white-space: pre-wrap;
  overflow-wrap: break-word;
  tab-size: 4;
  box-sizing: border-box;
}
.mirror {
  overflow: hidden;
  scrollbar-gutter: stable;
}
textarea {
  overflow-y: auto;
  scrollbar-gutter: stable;
  resize: none;
  background: none;
  color: var(--ink);
  outline-offset: -2px;
}
.row {
  position: relative;
  margin: 0 -5.2rem 0 -0.8rem;
  padding: 0 5.2rem 0 0.55rem;
  border-left: 0.25rem solid transparent;
}
.row .text {
  color: transparent;
}
.word {
  position: absolute;
  top: 0;
  right: 0.5rem;
  color: var(--ink-soft);
  font-size: 0.8125rem;
}
.row[data-kind='shell'] {
  border-color: var(--dough-line);
}
.row[data-kind='filling'] {
  border-color: var(--beet);
}
.row[data-kind='finish'],
.row[data-kind='pan'],
.row[data-kind='dip'],
.row[data-kind='marinade'] {
  border-color: var(--coat);
}
.row[data-kind='step'] {
  border-color: var(--rule-strong);
}
.row[data-kind='heading'] .word,
.row[data-kind='title'] .word {
  font-weight: 640;
}
.row[data-kind='left-out'] {
  background: repeating-linear-gradient(-45deg, transparent 0 6px, var(--rule) 6px 7px);
}
.doubt .word {
  color: var(--watch);
  font-weight: 640;
}
.lit {
  background: var(--ground);
}
</style>
