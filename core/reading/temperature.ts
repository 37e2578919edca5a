import type { Heat } from '../recipe/vocabulary'

/**
 * Gas marks in °C. Common practice, no source: the table printed on British cookers, rounded to 10.
 */
const GAS_MARK_C: Readonly<Record<number, number>> = {
  1: 140,
  2: 150,
  3: 160,
  4: 180,
  5: 190,
  6: 200,
  7: 220,
  8: 230,
  9: 240,
}

/** Ovens in words, in °C. Common practice, no source: the words of older cookery books. */
const OVENS: readonly [RegExp, number][] = [
  [/\bmoderately hot oven\b/i, 190],
  [/\bmoderate oven\b/i, 180],
  [/\bwarm oven\b/i, 160],
  [/\b(?:cool|slow) oven\b/i, 150],
  [/\bvery hot oven\b/i, 230],
  [/\bhot oven\b/i, 210],
]

const DEGREE = String.raw`\s*(?:°|deg(?:ree)?s?\.?|degrees?)?\s*`
const CELSIUS = new RegExp(String.raw`(\d{2,3})(?:\s*-\s*(\d{2,3}))?${DEGREE}(?:c|celsius|centigrade)\b`, 'i')
const FAHRENHEIT = new RegExp(String.raw`(\d{3})(?:\s*-\s*(\d{3}))?${DEGREE}(?:f|fahrenheit)\b`, 'i')
const FAN = new RegExp(
  String.raw`(\d{3})${DEGREE}(?:c\b)?\s*\(?\s*(?:fan|convection)\b(?!\s*:?\s*\d{3})`,
  'i',
)
const FAN_BEFORE = new RegExp(String.raw`(?:fan|convection)(?: oven)?\s*:?\s*(\d{3})`, 'i')
const GAS = /\bgas(?: mark)?\s*(\d{1,2})\b/i
const BARE = new RegExp(
  String.raw`(?:\b(?:at|to|(?:oven|air fryer|fryer)(?: to| at)?|preheat(?:ed)?(?: to)?|on|bake|(?:air[- ]?)?(?:fry|frying)|roast|cook|in(?:to)? an?):?\s+(?:an? )?(?:(?:very |really )?hot (?:oven )?|high )?(?:at )?|^\W*|[,;]\s)(\d{3})${DEGREE}(?!\s*(?:g|kg|ml|min|gm|cm|mm|pieces|cal)\b)(?=\D|$)`,
  'i',
)

/** Fahrenheit in °C, to the 5 degrees that ovens are set by. */
export const toCelsius = (fahrenheit: number) => Math.round((fahrenheit - 32) / 1.8 / 5) * 5
const inRange = (celsius: number) => (celsius >= 30 && celsius <= 350 ? celsius : null)

/** A temperature as a text states it, in °C, and whether it is a fan oven's. Null when there is none. */
export function temperatureIn(text: string): { celsius: number; fan: boolean } | null {
  const celsius = CELSIUS.exec(text)
  const fan = FAN.exec(text) ?? FAN_BEFORE.exec(text)
  const made = (value: number, isFan = false) => {
    const fine = inRange(value)
    return fine === null ? null : { celsius: fine, fan: isFan }
  }
  if (celsius) {
    const low = Number(celsius[1])
    const high = celsius[2] ? Number(celsius[2]) : low
    const value = Math.round((low + high) / 2)
    // "180 °C fan" alone is a fan oven's; "200C/180C fan" states both and the plain one counts.
    const isFan =
      fan !== null &&
      Number(fan[1]) === low &&
      !/\d{3}[^.]{0,12}\d{3}/.test(text.slice(celsius.index, celsius.index + 24))
    return made(value, isFan)
  }
  const fahrenheit = FAHRENHEIT.exec(text)
  if (fahrenheit) {
    const value = (Number(fahrenheit[1]) + Number(fahrenheit[2] ?? fahrenheit[1])) / 2
    return made(toCelsius(value), fan !== null)
  }
  const gas = GAS.exec(text)
  if (gas && GAS_MARK_C[Number(gas[1])]) return made(GAS_MARK_C[Number(gas[1])]!)
  const bare = BARE.exec(text) ?? /\b(\d{3})[\s-]*(?:°|deg(?:ree)?s?\b)/i.exec(text)
  if (bare) {
    const value = Number(bare[1])
    // No oven goes above 280 °C; a larger number is Fahrenheit.
    // "200 (180 fan)": the plain one counts.
    const isFan = fan !== null && (Number(fan[1]) === value || Number(fan[1]) > value)
    if (value >= 90 && value <= 280) return made(value, isFan)
    if (value > 280 && value <= 550) return made(toCelsius(value), isFan)
  }
  // "Hot oven (200)", "hot oil (350)", "in 350 oil": the number says more than the word.
  const told =
    /\b(?:oven|oil|fat|deep[- ]?fry|fryer)(?:,? (?:\+|and|&) (?:stone|steel|tray))?(?: (?:at |to )?(?:max|full|high|hot))*\s*\(?\s*(?:about |around |~)?(\d{3})\b(?!\s*(?:g|ml|min))/i.exec(
      text,
    ) ?? /\b(?:in|into) (\d{3}) (?:hot )?oil\b/i.exec(text)
  const degrees = told ? Number(told[1]) : 0
  if (degrees >= 90 && degrees <= 280) return made(degrees, fan !== null)
  if (degrees > 280 && degrees <= 550) return made(toCelsius(degrees), fan !== null)
  const words = OVENS.find(([pattern]) => pattern.test(text))
  if (words) return made(words[1])
  if (fan) return made(Number(fan[1]) > 280 ? toCelsius(Number(fan[1])) : Number(fan[1]), true)
  return null
}

/** Heat as words give it: "on a low flame". Null when they give none; ovens have temperatures. */
export function heatIn(text: string): Heat | null {
  const found =
    /\b(low|medium|moderate|gentle|high|hot|brisk|slow)(?:[- ](?:to[- ])?(?:low|medium|high|hot))?[- ]+(?:heat|flame|oil|pan|oven|fire)\b/i.exec(
      text,
    ) ??
    // "In a pan over medium-low".
    /\b(?:over|on|at) (?:an? )?(low|medium|moderate|high)(?:[- ](?:to[- ])?(?:low|medium|high))?(?=\W*(?:$|[,.;)])|\s+(?:for|until|till|\d))/i.exec(
      text,
    )
  if (!found) return null
  if (/oven/i.test(found[0])) return null
  const word = found[1]!.toLowerCase()
  return /low|gentle|slow/.test(word) ? 'low' : /high|hot|brisk/.test(word) ? 'high' : 'medium'
}
