import { ONES } from './readNumber'
import { remember } from './remember'

// Lengths as cooks write them, brought to one form before a sentence is read: figures, a blank, and cm, mm or inch.

const FRACTIONS: Readonly<Record<string, string>> = {
  half: '1/2',
  third: '1/3',
  quarter: '1/4',
  fourth: '1/4',
  eighth: '1/8',
  sixteenth: '1/16',
}
const FRACTION = Object.keys(FRACTIONS).join('|')
const UNIT = String.raw`(?:centi|milli)met(?:re|er)s?|cms?|mms?|inch(?:es)?`
const shortUnit = (unit: string) =>
  /^c/i.test(unit) ? 'cm' : /^m/i.test(unit) ? 'mm' : /s$/i.test(unit) ? 'inches' : 'inch'

/** "An inch and a half", "2 and a half inches". */
const AND_A_PART = new RegExp(
  String.raw`(?<![a-zß-öø-ɏ\d])(?:(?<whole>an?|\d{1,2}) (?<unit>${UNIT}) and (?:an? )?(?<part>${FRACTION})|(?<number>\d{1,2}) and an? (?<share>${FRACTION}) (?<of>${UNIT}))(?![a-zß-öø-ɏ])`,
  'gi',
)
/** "An eighth of an inch", "half a centimetre", "a quarter-inch", "half inch". */
const PART_OF = new RegExp(
  String.raw`(?<![a-zß-öø-ɏ\d])(?<!\d )(?:an? |one[- ])?(${FRACTION})[- ](?:of )?(?:an? )?(${UNIT})(?![a-zß-öø-ɏ])`,
  'gi',
)
/** "An inch of oil", "a centimetre apart", "inch-thick rounds". */
const ONE_OF =
  /(?<![a-zß-öø-ɏ])an? (?:(inch)|centimet(?:re|er)|cm)(?![a-zß-öø-ɏ])|(?<![a-zß-öø-ɏ\d½¼¾⅐-⅞/-]|[\d½¼¾⅐-⅞] )(inch)(?=[- ](?:thick|wide|deep|long)\b)/gi
/** "Six-inch": with its hyphen it is read as a number nowhere else. */
const HYPHENED = new RegExp(
  String.raw`(?<![a-zß-öø-ɏ-])(${Object.keys(ONES).join('|')})-(${UNIT})(?![a-zß-öø-ɏ])`,
  'gi',
)
/** "12 centimetres", "12-cm", "3-mm". */
const SPELT = new RegExp(
  String.raw`(?<=[\d½¼¾⅐-⅞])(?:[ -]?((?:centi|milli)met(?:re|er)s?|cms|mms)|-(cm|mm))(?![a-zß-öø-ɏ])`,
  'gi',
)

/** '5"', "5in". */
const MARKED = /(?<=[\d½¼¾⅐-⅞]) ?(?:["”″](?![a-zß-öø-ɏ])|(?<! )in(?![a-zß-öø-ɏ.]))/gi

const FIGURE = String.raw`(?:\d{1,3}(?:[.,]\d{1,2})?(?:\s\d\/\d|\s?[½¼¾⅛⅓⅔]|\/\d{1,2})?|[½¼¾⅛⅓⅔])`
const FIGURES = String.raw`(?:${FIGURE}\s?(?:-|–|to)\s?)?${FIGURE}[ -]?`
const INCHES = String.raw`(?:inch(?:es)?(?![a-zß-öø-ɏ])|in(?![a-zß-öø-ɏ]|\s(?:the|a|an|half|two|your|\d))\.?|["”″])`
/** "12 cm/5 inch", "12cm (5in)", "5-inch (12 cm)": one length in two units. */
const IN_BOTH = new RegExp(
  String.raw`(?<![\d./])(?:(${FIGURES}(?:cm|mm))(?![a-zß-öø-ɏ])(?:\s?\/\s?|\sor\s|\s?(\()\s?)(?:about |~ ?|approx\.? )?${FIGURES}${INCHES}|(${FIGURES}${INCHES})(?:\s?\/\s?|\sor\s|\s?(\()\s?)(?:about |~ ?|approx\.? )?${FIGURES}(?:cm|mm)(?![a-zß-öø-ɏ]))(\s?\))?`,
  'gi',
)

/**
 * A sentence with its lengths in one form: "a six-inch round", "half a centimetre thick", "12cm (5in)" become "a 6 inch
 * round", "1/2 cm thick", "12cm". Of a length that is told in two units the first stays.
 *
 * @param text a sentence whose number words stand in figures already
 */
export const withPlainSizes: (text: string) => string = remember((text) => {
  if (!/cm|mm|inch|imet|\din\b|\d ?["”″]/i.test(text)) return text
  return text
    .replace(AND_A_PART, (...found) => {
      const { whole, unit, part, number, share, of } = found.at(-1) as Record<string, string | undefined>
      const units = /^a/i.test(whole ?? number!) ? '1' : (whole ?? number!)
      return `${units} ${FRACTIONS[(part ?? share!).toLowerCase()]} ${shortUnit(unit ?? of!)}`
    })
    .replace(
      PART_OF,
      (_, part: string, unit: string) => `${FRACTIONS[part.toLowerCase()]} ${shortUnit(unit)}`,
    )
    .replace(ONE_OF, (_, an?: string, bare?: string) => `1 ${an || bare ? 'inch' : 'cm'}`)
    .replace(HYPHENED, (_, word: string, unit: string) => `${ONES[word.toLowerCase()]} ${shortUnit(unit)}`)
    .replace(MARKED, ' inch')
    .replace(SPELT, (_, long?: string, short?: string) => ` ${shortUnit((long ?? short)!)}`)
    .replace(
      IN_BOTH,
      (whole, metric?: string, opens?: string, inches?: string, opened?: string, closes?: string) => {
        // "12 cm (5 inch round)": what opens stays open.
        if (Boolean(opens ?? opened) !== Boolean(closes)) return whole
        return (metric ?? inches)!
      },
    )
})
