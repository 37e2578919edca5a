import type { CookRecord } from '~~/core/log/record'
import type { ToWeigh } from '~~/core/log/weighing'

/** What is weighed at the stove: the recipe's lines as planned, made anew where something went over. */
export function useWeighing(write: (fields: Partial<CookRecord>) => unknown) {
  const bench = useBenchStore()
  const stove = useStoveStore()
  const record = computed(() => stove.record)
  const extra = ref<Record<string, number>>({})
  const weighedOf = (lineId: string) =>
    record.value?.weights.find((one) => one.lineId === lineId)?.grams ?? null
  const toWeigh = computed<ToWeigh[]>(() =>
    (bench.recipe?.parts ?? []).flatMap((part) =>
      part.lines
        .filter((line) => line.grams !== null && line.grams > 0)
        .map((line) => ({
          lineId: line.id,
          partId: part.id,
          name: line.name || line.raw,
          plannedGrams: line.grams! + (extra.value[line.id] ?? 0),
          grams: weighedOf(line.id),
        })),
    ),
  )
  const liquid = computed(() => {
    const { liquidLineId } = record.value?.expected ?? {}
    const line = bench.recipe?.parts.flatMap(({ lines }) => lines).find(({ id }) => id === liquidLineId)
    if (!line?.grams) return null
    const planned_ = line.grams + (extra.value[line.id] ?? 0)
    return {
      lineId: line.id,
      name: line.name,
      from: line.toFeel?.startGrams ?? 0.85 * planned_,
      to: line.gramsHigh && line.gramsHigh > planned_ ? line.gramsHigh : 1.1 * planned_,
    }
  })
  function weighed(lineId: string, grams: number) {
    const line = toWeigh.value.find((one) => one.lineId === lineId)
    if (!line || !record.value) return
    const others = record.value.weights.filter((one) => one.lineId !== lineId)
    const one = { lineId, name: line.name, plannedGrams: line.plannedGrams, grams, at: Date.now() }
    write({
      weights: [...others, one],
      ...(lineId === record.value.expected.liquidLineId ? { liquidGrams: grams } : {}),
    })
  }
  function rescale(more: { lineId: string; moreGrams: number }[]) {
    const made = { ...extra.value }
    for (const { lineId, moreGrams } of more) made[lineId] = (made[lineId] ?? 0) + moreGrams
    extra.value = made
  }
  return { toWeigh, liquid, weighed, rescale }
}
