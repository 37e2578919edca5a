import type { Recipe } from '../recipe/document'
import type { TaskKind } from './tasks'

/** Words by which a step of a method is known to speak of a task. */
const SAID: Readonly<Partial<Record<TaskKind, RegExp>>> = {
  weigh: /\b(?:mix|combine|rub|sift|warm the|stir .{0,30}(?:flour|yeast)|pour .{0,40}flour|whisk|knead)\b/i,
  dough: /\b(?:knead|rub|bring .{0,20}together|mix .{0,40}(?:flour|dough)|dough)\b/i,
  rest: /\b(?:rest|chill|stand|relax|refrigerat\w*|fridge)\b/i,
  rise: /\b(?:rise|rises|double|doubled|prove|proof|ferment\w*)\b/i,
  soak: /\bsoak\w*/i,
  chop: /\b(?:chop|slice|shred|grate|dice|mince|peel)\w*/i,
  'cook-filling': /\b(?:fry|saut\S+|simmer|boil|roast|soften|cook|brown|sweat)\w*/i,
  cool: /\bcool\w*/i,
  filling: /\b(?:stir|mix|season|fold in|mash|toss|combine)\w*/i,
  divide: /\b(?:divide|roll|cut|portion|balls?)\b/i,
  shape: /\b(?:fill|close|fold|pleat|crimp|seal|pinch|stuff|wrap|shape)\w*/i,
  proof: /\b(?:prove|proof|rise|puffy)\b/i,
  coat: /\b(?:brush|glaze|wash|sprinkle|egg)\w*/i,
  dip: /\b(?:dip|sauce|serve with|dressing)\b/i,
  preheat: /\b(?:preheat|heat the (?:oven|oil)|bring .{0,20}boil|oven)\b/i,
  load: /\b(?:bake|steam|brush)\w*/i,
  cook: /\b(?:bake|fry|steam|boil|griddle|cook|brown)\w*/i,
  freeze: /\bfreez\w*/i,
  serve: /\b(?:serve|eat)\b/i,
}

/** In which order of the method tasks are looked for from the end: what ends the work stands late in the text. */
const LATE: ReadonlySet<TaskKind> = new Set(['cook', 'load', 'coat', 'preheat', 'proof', 'serve'])

/** Index of the step of the method that speaks of a kind of task, and where it can be told, of its part; null for none. */
export function stepOf(kind: TaskKind, { method, parts }: Recipe, partId: string | null): number | null {
  const said = SAID[kind]
  if (!said) return null
  const fits = method.flatMap((text, at) => (said.test(text) ? [at] : []))
  const part = parts.find((one) => one.id === partId)
  if (part && fits.length > 1) {
    const words = [part.name, ...part.lines.map((line) => line.name)]
      .flatMap((name) => name.toLowerCase().split(/[^\p{L}]+/u))
      .filter((word) => word.length > 3)
    const named = (at: number) => words.filter((word) => method[at]!.toLowerCase().includes(word)).length
    const most = Math.max(...fits.map(named))
    if (most > 0) return fits.find((at) => named(at) === most)!
  }
  return (LATE.has(kind) ? fits.at(-1) : fits[0]) ?? null
}
