import { readdirSync, readFileSync } from 'node:fs'
import type { Recipe } from '../core/recipe/document'

/** A recipe of the corpus as its text says it should be read. */
export interface Expected {
  name: string
  text: string
  expect: string[]
}

const folder = new URL('../core/reading/corpus/', import.meta.url)

/** Every recipe of the corpus, file by file. */
export function corpus(): Expected[] {
  return readdirSync(folder)
    .filter((file) => file.endsWith('.txt'))
    .flatMap((file) =>
      readFileSync(new URL(file, folder), 'utf8')
        .split(/^### (?=\S)/m)
        .filter((piece) => piece.trim())
        .map((piece) => {
          const [head, ...rest] = piece.split('\n')
          const [text, expect] = rest.join('\n').split(/^=== expect$/m)
          if (expect === undefined) throw new Error(`${file}: ${head} has no "=== expect"`)
          return { name: head!.trim(), text: text!.trim(), expect: expect.trim().split('\n').filter(Boolean) }
        }),
    )
}

export interface Score {
  field: string
  right: boolean
  says: string
}

const near = (value: number | null, wanted: number, tolerance: number) =>
  value !== null && Math.abs(value - wanted) <= Math.max(tolerance * wanted, 0.6)

/**
 * Scores a reading against what was expected, field by field. In an expected line `250` allows 3 %, `250~` a third,
 * `~` any weight, `-` none; `name?` allows a food that the larder may lack.
 */
export function score(recipe: Recipe, expect: readonly string[]): Score[] {
  const scores: Score[] = []
  const add = (field: string, right: boolean, says: string) => scores.push({ field, right, says })
  const used = new Set<string>()
  const taken = new Set<string>()
  const parts = recipe.parts.filter((part) => part.lines.length)
  for (const row of expect) {
    const count = /^(makes|serves) ([\d.]+)(\?)?$/.exec(row)
    if (count) {
      const of = count[1] === 'makes' ? 'pieces' : 'servings'
      const stated = of === 'pieces' ? recipe.piecesStated : recipe.servingsStated
      add(of, recipe[of] === Number(count[2]) && (count[3] ? !stated : true), `${row}: got ${recipe[of]}`)
      continue
    }
    const cook = /^cook (\S+)(?: (\S+))?(?: (\S+))?(?: then (\S+)(?: (\S+))?(?: (\S+))?)?$/.exec(row)
    if (cook) {
      const { cooking } = recipe
      add('way', cooking.way === cook[1], `${row}: got ${cooking.way}`)
      if (cook[2] && cook[2] !== '-')
        add('temperature', cooking.temperatureC === Number(cook[2]), `${row}: got ${cooking.temperatureC}`)
      if (cook[3] && cook[3] !== '-')
        add('minutes', near(cooking.minutes, Number(cook[3]), 0.06), `${row}: got ${cooking.minutes}`)
      add(
        'second cooking',
        (cooking.andThen?.way ?? null) === (cook[4] ?? null),
        `${row}: then ${cooking.andThen?.way ?? 'nothing'}`,
      )
      if (cook[5] && cook[5] !== '-')
        add(
          'second cooking',
          cooking.andThen?.temperatureC === Number(cook[5]),
          `${row}: then at ${cooking.andThen?.temperatureC}`,
        )
      if (cook[6] && cook[6] !== '-')
        add(
          'second cooking',
          near(cooking.andThen?.minutes ?? null, Number(cook[6]), 0.06),
          `${row}: then for ${cooking.andThen?.minutes}`,
        )
      continue
    }
    const shape = /^shape (\S+)$/.exec(row)
    if (shape) {
      add('shape', recipe.shape === shape[1], `${row}: got ${recipe.shape}`)
      continue
    }
    const steps = /^steps (\d+)$/.exec(row)
    if (steps) {
      add('steps', recipe.method.length === Number(steps[1]), `${row}: got ${recipe.method.length}`)
      continue
    }
    const fact = /^fact (\S+) ([\d.]+)(?:-([\d.]+))?$/.exec(row)
    if (fact) {
      const found = recipe.facts.filter((one) => one.kind === fact[1])
      add(
        'facts',
        found.some(
          (one) => near(one.low, Number(fact[2]), 0.05) && near(one.high, Number(fact[3] ?? fact[2]), 0.05),
        ),
        `${row}: got ${found.map((one) => `${one.low}-${one.high}`).join(', ') || 'none'}`,
      )
      continue
    }
    const part =
      /^(component (.+?) into )?(shell|filling|marinade|finish|pan|dip)(?: "([^"]*)")?(?: pieces (\d+))?(?: (fry|simmer|roast|steam))?(?: (\d+)(~?))?( dry)?:(.*)$/.exec(
        row,
      )
    if (!part) throw new Error(`Not understood: ${row}`)
    const [, component, componentName, kind, name, pieces, way, minutes, about, dry, list] = part
    const items = list!
      .split(/,\s*/)
      .map((item) => item.trim())
      .filter(Boolean)
    const wanted = items.map((item) => item.split(' ')[0]!.replace(/\?$/, ''))
    const candidates = parts.filter(
      (one) =>
        !taken.has(one.id) &&
        (component
          ? one.into !== null && new RegExp(componentName!, 'i').test(one.name)
          : one.kind === kind && one.into === null),
    )
    const overlap = (one: (typeof parts)[number]) =>
      one.lines.filter((line) => wanted.includes(line.foodId ?? '')).length +
      (name && new RegExp(name, 'i').test(one.name) ? 5 : 0)
    const best = candidates.sort((a, b) => overlap(b) - overlap(a))[0]
    add(
      'parts',
      best !== undefined,
      `${row.slice(0, 60)}: ${best ? best.name : `no such part among ${parts.map((one) => `${one.kind} "${one.name}"${one.into ? ' (component)' : ''}`).join(', ')}`}`,
    )
    if (!best) {
      items.forEach((item) => add('lines', false, `${item}: its part is missing`))
      continue
    }
    taken.add(best.id)
    if (pieces)
      add('pieces', best.pieces === Number(pieces), `${kind} "${best.name}" in ${pieces}: got ${best.pieces}`)
    if (way || (component && /\b(?:fry|simmer)\b/.test(row)))
      add(
        'precooking',
        best.cookedBy === way || best.lines.some((line) => line.cookedBy === way),
        `${kind} "${best.name}" ${way}: got ${best.cookedBy}`,
      )
    else if (kind === 'filling' && !component && !/\?/.test(row.split(':')[0]!))
      add('precooking', best.cookedBy === null, `${kind} "${best.name}" raw: got ${best.cookedBy}`)
    if (minutes)
      add(
        'precooking',
        near(best.cookedMinutes, Number(minutes), about ? 0.35 : 0.06),
        `${kind} "${best.name}" ${minutes} min: got ${best.cookedMinutes}`,
      )
    if (dry) add('precooking', best.untilDry, `${kind} "${best.name}" until dry`)
    for (const item of items) {
      const [food, amount] = item.split(' ')
      const id = food!.replace(/\?$/, '')
      const reference = /^\(/.test(item)
      const line =
        best.lines.find(
          (one) => !used.has(one.id) && (reference ? one.componentId !== null : one.foodId === id),
        ) ??
        (food!.endsWith('?')
          ? best.lines.find(
              (one) => !used.has(one.id) && (one.foodId === null || !wanted.includes(one.foodId)),
            )
          : undefined)
      if (line) used.add(line.id)
      const grams = line?.grams ?? null
      const fine =
        !amount || amount === '-'
          ? true
          : amount === '~'
            ? (grams !== null && grams > 0) || food!.endsWith('?')
            : near(grams, Number.parseFloat(amount), amount.endsWith('~') ? 0.34 : 0.03) ||
              (food!.endsWith('?') && grams === null)
      add(
        'lines',
        line !== undefined,
        `${kind}: ${item} ${line ? '' : `missing among ${best.lines.map((one) => one.foodId ?? `?${one.name}`).join(', ')}`}`,
      )
      if (line) add('grams', fine, `${kind}: ${item}, got ${grams}`)
    }
    const extra = best.lines.filter((line) => !used.has(line.id))
    if (extra.length)
      add(
        'lines',
        false,
        `${kind} "${best.name}" has besides: ${extra.map((line) => `${line.foodId ?? '?'} <${line.raw}>`).join(', ')}`,
      )
  }
  const more = parts.filter((part) => !taken.has(part.id) && part.kind !== 'pan')
  if (more.length)
    add(
      'parts',
      false,
      `besides: ${more.map((part) => `${part.kind} "${part.name}" ${part.lines.map((line) => line.raw).join('; ')}`).join(' | ')}`,
    )
  return scores
}
