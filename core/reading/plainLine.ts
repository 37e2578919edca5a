import { NUMBER_PATTERN, readNumber } from './readNumber'
import { UNIT_PATTERN } from './units'
import { withPlainAmounts } from './amountsSpelt'
import { withPlainFlour } from './flourTypes'
import { withUnitInFront } from './unitBehind'
import { PIECES } from './servings'

const IN_EACH_PIECE = new RegExp(String.raw`\s+(?:in|on) (?:each|every) (?:one|${PIECES})$`, 'i')

const AMOUNT_EACH_BEHIND = new RegExp(
  String.raw`^(?![^,]*(?:\band\b|&))([a-zß-öø-ɏ][^\d,()]{2,40}?),\s*((?:about |approx\.? |~)?(?:${NUMBER_PATTERN})\s*(?:tsp|tbsp|teaspoons?|tablespoons?)\s+(?:each|per [a-zß-öø-ɏ]+))$`,
  'i',
)
/** "2 salmon fillets 150 g each, skinless" with what one weighs in brackets. */
export const withEachInBrackets = (text: string): string =>
  // "Ghee for cooking, about 1 tsp each" alike.
  text
    .replace(AMOUNT_EACH_BEHIND, '$1 ($2)')
    .replace(
      /^(\d{1,2}|an?|two|three|four|six) ([a-zß-öø-ɏ][^\d(),]*?),?\s+(?:about |approx\.? |~)?(\d+(?:\.\d+)?\s?(?:g|oz|lbs?|kg))\.? each\b,?\s*([^()]*)$/i,
      (_, count: string, food: string, each: string, rest: string) =>
        `${count} ${food} (${each} each)${rest ? `, ${rest}` : ''}`,
    )

const NAME_AND_COUNT = new RegExp(
  String.raw`^([a-zß-öø-ɏ][a-zß-öø-ɏ -]{2,40}?):\s*(?:about )?(\d{1,3})\s+(?!(?:${UNIT_PATTERN}|(?:extra )?(?:small|medium|large|big)|x|nos?|pcs?|or|to|and|heap\w+|level|scant|rounded|generous|good|full)\b)([a-zß-öø-ɏ].*)$`,
  'i',
)
/** "Water to knead (about 3/4 cup)": what is left to feel, and how much it comes to. */
const NEED_AND_AMOUNT = new RegExp(
  String.raw`^((?:[a-zß-öø-ɏ]+ ){0,2}(?:water|milk|curd|yogh?urt|buttermilk|oil|ghee|stock|juice))\b(?!\s*or\b),?\s*([^()\d]*?)\s*\(\s*((?:about )?(?:${NUMBER_PATTERN})\s*(?:(?:-|–|to)\s*(?:${NUMBER_PATTERN})\s*)?(?:${UNIT_PATTERN}))(?:,? (?:or )?(?:so|as (?:needed|required)|more or less|if needed))?\s*\)$`,
  'i',
)
const SIZE_WORD = '(?:extra[- ])?(?:small|medium|large|big|med|lge|lg)(?:[- ]sized)?'
const SO_MANY = String.raw`\d{1,2}(?:[./]\d)?(?:\s*(?:-|–|to|or)\s*\d{1,2})?|[½¼¾]|\d\s?[½¼¾]|\d \d\/\d|half an?|an?|one|two|three|four|five|six`
/** "Onions (2 medium, finely chopped)", "parsley (1/2 bunch)": how many, in brackets behind what is counted. */
const COUNT_IN_BRACKETS = new RegExp(
  String.raw`^([a-zß-öø-ɏ][^()\d]*?)\s*\(\s*(?:about |approx\.? |~)?((?:${SO_MANY})\s*(?:${SIZE_WORD}|(?:(?:${SIZE_WORD}) )?(?:cloves?|bunch(?:es)?|sprigs?|stalks?|sticks?|handfuls?|heads?|knobs?|thumbs?|slices?|rashers?|sheets?|packets?|packs?|tins?|cans?|jars?))|(?:${SO_MANY})(?=\s*,))(?:\s*[,;]?\s+([^()\d]+))?\s*\)\s*(?:,\s*([^()]+))?$`,
  'i',
)
/** "Large potatoes - 2", "onion (big) 1, chopped": the size and the number stand round the food, or behind it. */
const SIZE_AND_COUNT = new RegExp(
  String.raw`^(?:(${SIZE_WORD})\s+([a-zß-öø-ɏ][a-zß-öø-ɏ ]*?)|([a-zß-öø-ɏ][a-zß-öø-ɏ ]*?)[\s,]*[(,\s]\s*(${SIZE_WORD})\)?)\s*[-–:,]?\s*(\d{1,2}(?:\s*-\s*\d{1,2})?)(?:\s*(?:nos?|pcs?)\.?)?(?=\s*(?:$|,|\())`,
  'i',
)
const STATE =
  '(?:(?:hard|soft)[- ]boiled|boiled|cooked|steamed|roasted|mashed|scrambled|beaten|juiced|zested|crushed|peeled|pur[ée]ed|(?:fine(?:ly)? )?(?:chopped|grated|sliced|minced|diced|cubed|shredded))'
const COUNT_AND_STATE = new RegExp(
  String.raw`^([a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?)(?: |\s*[-–:,]\s*)(\d{1,2}|one|two|three|half) ((?:(?:small|medium|large|big) )?${STATE}(?:(?:,? (?:and |& )?)${STATE})*)(?=,| and |$)`,
  'i',
)
const WEIGHING_ABOUT =
  /(?<=[a-zß-öø-ɏ]{2}) (?:weighing )?(?:about|around|roughly|approx\.?) (?=\d[\d.,]* ?(?:kg|g|grams?|kilos?|oz|lbs?|pounds?)\b(?: in (?:all|total)| altogether)?\s*(?:$|[,;(]))/i
const FOR_SO_MANY = new RegExp(String.raw`(?<=[a-zß-öø-ɏ]) (?:per|for) \d{1,2} ${PIECES}$`, 'i')
const SKINS = String.raw`(?:[a-zß-öø-ɏ]+ ){0,3}(?:wrappers|skins|sheets|dis[ck]s|rounds|tortillas|pastry)`
const PACK = '(?:(?:an?|one|1) )?(?:pack|packet|package|pkt|bag)'
const PACK_HOLDS = String.raw`\d{2,3}|ten|twelve|twenty|thirty|forty|fifty|sixty`
const PACKET_OF = new RegExp(
  String.raw`^(?:(${SKINS}),?(?:\s+[-–:]\s*|\s+)${PACK} of (${PACK_HOLDS})|${PACK} of (${PACK_HOLDS}) (${SKINS}))$`,
  'i',
)
const BULLET = /^[\s>]*(?:(?:[-*•·–—▢☐□◦‣✓]|\[[ x]?\]|\d+[.)](?=\s))\s*)*/u

/** The text of a line as it is taken apart: plain characters, and what stands behind a food put before it. */
export function plainLine(raw: string): string {
  const text = withPlainFlour(withPlainAmounts(raw.replace(BULLET, '')))
    .replace(/\*\*|__|`/g, '')
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .replace(/[’‘]/g, "'")
    .replace(/[“”″]/g, '"')
    .replace(/\b(stock|bouillon) (?:pots?|gels?|melts?)\b/gi, '$1 cube')
    .replace(/\bjust[- ]boiled\b/gi, 'boiling')
    // The cut cabbage that coleslaw is made of is not dressed yet.
    .replace(/\bcoleslaw (?=mix\b|vegetables\b)/gi, 'slaw ')
    // "An old roll": bread, and nothing that is made.
    .replace(/\b(?:old|stale|day[- ]old|dry) (?:white )?(?=(?:rolls?|buns?)\b)/gi, 'stale bread ')
    .replace(/\bbread buns?\b/gi, 'bread roll')
    // "Egg wash: other half of the egg".
    .replace(/^(?:the )?other half (?:of )?(?:the |an? )?(egg|lemon|onion|tin|can|packet)\b/i, 'half $1')
    // "Green tops of 4 spring onions".
    .replace(
      /^(?:the )?(greens?|whites?|green and white|dark green|pale green)(?: (?:tops?|parts?|ends?|bits?|leaves))?(?: only)? (?:of|from) (\d+|an?|one|two|three|four|five|six) ((?:(?:large|small|medium) )?(?:spring onions?|scallions?|green onions|leeks?))\b/i,
      '$2 $3, $1 part only',
    )
    // "Cilantro half bunch".
    .replace(
      /^([a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}?) half(?: an?)? (bunch|packet|cup|tsp|tbsp|teaspoon|tablespoon|tin|can|jar|head|handful)$/i,
      'half a $2 $1',
    )
    .replace(/\b(?:part|half)[- ]baked (?=[a-zß-öø-ɏ])/gi, '')
    // "1/3 cup milk or as required": as much, or what is needed.
    .replace(
      /(?<=[a-zß-öø-ɏ]),? or (?=(?:as|more if|whatever(?: is)?|as much as is) (?:required|needed|necessary)\b)/gi,
      ', ',
    )
    // "2 tins tuna (drained 224 g)": the number stands behind the word.
    .replace(
      /\(drained(?: weight)?[: ]+(?:about )?(\d[\d.]* ?(?:g|oz|ml))(?: in all| total)?\)/gi,
      '($1 drained)',
    )
    // "1 bunch chard (about 300 g leaves)": what it weighs.
    .replace(
      /\((?:about |approx\.? |~)?(\d[\d.]* ?(?:g|oz|kg)) (?:of )?(?:leaves|flesh|meat|peeled|trimmed|prepared|in all|total|altogether)\)/gi,
      '($1)',
    )
    .replace(
      /\((?:[^()]*,\s*)?(?:meat|flesh|leaves)(?: weighs)? (?:about |approx\.? |~)?(\d[\d.]* ?(?:g|oz|kg))\)/gi,
      '($1)',
    )
    // "500 g squash (roasted, = 350 g flesh)": what is left of it goes in.
    .replace(
      /^(?:about )?\d[\d.]* ?(?:g|kg|oz) ([a-zß-öø-ɏ][^()]*)\((?:[^()]*[,;]\s*)?(?:=|gives|makes|leaves) (?:about )?(\d[\d.]* ?(?:g|oz|kg)) (?:of )?(?:flesh|meat|pulp|pur[ée]e|cooked)\)$/i,
      '$2 $1',
    )
    // "(Bought, 6 x 90 g)": where it is from says nothing of what it weighs.
    .replace(/\((?:shop[- ]?|store[- ]?)?bought,\s*(?=\d)/gi, '(')
    // "1 sheet (makes 8 squares of 9 cm)": what it makes is no amount of it.
    .replace(/\s*\((?:makes|gives) (?:about )?\d{1,2} [^()]*\d[^()]*\)\s*$/i, '')
    // "Keema (mutton mince)": of which meat.
    .replace(
      /\b(?:q|kh?)eema\s*\((?:minced |ground )?(mutton|lamb|goat|chicken|beef|pork|turkey)(?: mince)?\)/gi,
      '$1 keema',
    )
    // "1/2 cup water approx (I use more)", "water approx = 1/2 cup".
    .replace(/(?<=[a-zß-öø-ɏ]) approx\.?(?=\s*[(=])/gi, '')
    // "2 hb eggs", "3 cl garlic".
    .replace(/\bh\.?b\.? (?=eggs?\b)/gi, 'hard-boiled ')
    .replace(/^(\d{1,2}) cl\.? (?:of )?(?=garlic\b)/i, '$1 cloves ')
    // "Poppyseeds" are two words, and brackets that weigh a box weigh all that is in it.
    .replace(/\b(poppy|sesame|sunflower|pumpkin|caraway|fennel|cumin|nigella)(seeds?)\b/gi, '$1 $2')
    .replace(
      /\((\d[\d.]*[\s-]?(?:oz|ounces?|g|grams?|lb))\.?\s+(?:box|pack|package|packet|pkg|carton)\)/gi,
      '($1)',
    )
    // "Potato 2 boiled", "eggs - 4 hard-boiled and chopped": the number stands between the food and its state.
    .replace(COUNT_AND_STATE, (_, food: string, many: string, state: string) => {
      const [, size = '', done] = /^(?:(small|medium|large|big) )?(.*)$/i.exec(state)!
      return `${many} ${size ? `${size} ` : ''}${food}, ${done}`
    })
    // "Enough oil to come 3 cm up the pan": a pot of it; "enough to coat the pan" is a film.
    .replace(
      /^(?:enough |plenty of )?((?:[a-zß-öø-ɏ]+ )?oil),? (?:enough |deep enough )?to (?:come|reach|be|go|fill)\b.*?(?:\d|half|third|depth|deep|up)\b.*$/i,
      '$1 for deep frying',
    )
    .replace(
      /^(?:enough |plenty of )?((?:[a-zß-öø-ɏ]+ )?oil),? (?:enough )?to (?:coat|cover|film|grease) (?:the |a )?(?:base|bottom|pan|tray|tin)\b.*$/i,
      '$1 for frying',
    )
    // "Oil for frying, about 1 cm in the pan": how deep it stands is no amount of it.
    .replace(
      /^((?:[a-zß-öø-ɏ]+ )?oil\b[^,()\d]*),?\s+\(?(?:about )?\d[\d./ –-]*\s?(?:cm|mm|inch(?:es)?|in|")\s(?:deep|in (?:the |a )?pan|up the (?:sides?|pan))\b.*$/i,
      '$1',
    )
    .replace(/^(?:the )?(?:rest|remainder|other half) of (?:the |your )?(?=[a-zß-öø-ɏ])/i, '')
    // "1 sheet puff pastry, 375 g", "8 slices ham, 160 g": what a pack of it weighs, or all of them.
    .replace(
      /^(\d{1,2} (?:(?:thin|thick|large|small) )*(?:slices?|rashers?|strips?|sticks?|links?|fillets?) [^,()\d]*),\s*((?:about )?\d{2,4} ?(?:g|oz))$/i,
      '$1 ($2)',
    )
    .replace(
      /^((?:\d|an?|one|two) (?:(?:large|small|ready[- ]rolled|chilled|frozen) )*(?:sheets?|packs?|packets?|blocks?|rolls?|tubs?|jars?|tins?|cans?|bags?|boxe?s?|cartons?)\b[^,()]*)(?:,|\s[/–-]|,? weighing(?: about)?)\s*((?:about )?\d{2,4} ?(?:g|ml|oz))(?: each)?$/i,
      '$1 ($2)',
    )
    // "100 g noodles, soaked (50 g dry)": what was weighed before it was soaked.
    .replace(
      /^(?:about )?\d[\d.]* ?(?:g|kg) (?!(?:cooked|boiled)\b)([a-zß-öø-ɏ][^()\d]*?)[\s,]*\((?:about )?(?:(\d[\d.]*) ?g(?:rams?)? (?:dry|dried)(?: weight)?|dry weight:? (?:about )?(\d[\d.]*) ?g?)\)$/i,
      (_, food: string, ahead: string | undefined, behind: string | undefined) =>
        `${ahead ?? behind} g ${food}`,
    )
    .replace(/(?<=[a-zß-öø-ɏ])\s+to spread(?: (?:on|over|inside)\b.*)?$/i, ', for spreading')
    .replace(
      /^(?:a |1 )?(?:good |small |large )?walnut (?:sized? (?:knob|piece|lump) )?of (?=(?:butter|lard|ghee|margarine)\b)/i,
      'a knob of ',
    )
    // "Juice of 1/2 an orange".
    .replace(/(?<=\bof )(\d ?\/ ?\d|[¼½¾⅓⅔]|half) an? (?=[a-zß-öø-ɏ])/i, '$1 ')
    .replace(/^(\d{1,2}) sugar (?:cubes?|lumps?)$/i, '$1 cubes sugar')
    // "Egg replacer for 1 egg": a powder, of which a spoon stands for each.
    .replace(
      /^egg replacer (?:for|equal to|equivalent to) (\d|one|two|three) eggs?$/i,
      '$1 tbsp egg replacer',
    )
    .replace(/\bslices? (?:of )?swiss\b(?! c)/gi, 'slices swiss cheese')
    .replace(/^swiss(?=[\s,:–-]+\d)/i, 'swiss cheese')
    // A mixture named after its number: none of it is counted.
    .replace(/^(?:7|seven)[- ]spices?\b/i, 'baharat')
    .replace(/\bGF\b(?= ?\p{L})/gu, 'gluten-free')
    .replace(/\s+more or less\b/gi, '')
    // "Milk 3.5% 200 ml": how fat it is stands between.
    .replace(
      /^([a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}?),? (\d{1,2}(?:[.,]\d)?\s?%(?: fat)?),? (?=\d)(\d[\d.,/ ]*\s?[a-zß-öø-ɏ]+)$/i,
      '$3 $1, $2',
    )
    // "Dried shrimp? optional": a doubt.
    .replace(/(?<=[a-zß-öø-ɏ])\?+\s+(?=optional\b)/gi, ', ')
    // "Washed and dried" is no dried food.
    .replace(/\b(washed|rinsed|wiped)(?:,| and| &) (?:well |pat(?:ted)? )?(?:dried|dry)\b/gi, '$1')
    // "Puff pastry sheet - 1 (6 squares)".
    .replace(
      /^((?:puff|filo|phyllo|shortcrust|yufka)(?: pastry)?) sheets?\s*[-–:]\s*(\d{1,2})(?=\s*(?:$|[(,]))/i,
      '$2 sheet $1',
    )
    // "Flour (00) 300 g", "flour type 550 - 500 g": how finely it is milled is no amount.
    .replace(
      /\bflour,? \(?["']?(?:00|(?:tipo|type|typ|t) ?(?:0{1,2}|405|450|550|[456]5))["']?\)?(?=[\s,:–-]|$)/gi,
      'flour',
    )
    .replace(
      /(?<![\d.,])["'(]?(?:(?:tipo|type|typ|t) ?)?00["')]? flour\b|\b(?:type|typ|t) ?(?:405|550) flour\b/gi,
      'flour',
    )
    // "5 spice powder": named after its number.
    .replace(/(?<!\d )\b(?:5|five)[- ]spice(?: powder| mix| blend)?(?![a-zß-öø-ɏ])/gi, 'five-spice powder')
    // "2 cheese slices": what is counted stands behind.
    .replace(
      /^(\d{1,2}|an?|one|two|three|four|six) ((?:[a-zß-öø-ɏ]+ ){0,2}(?:cheese|ham|bread|bacon|salami)) (slices?|rashers?)\b/i,
      '$1 $3 $2',
    )
    // "1 roll puff pastry 375 g": what is in it stands behind.
    .replace(
      /^((?:\d|an?|one|two) (?:rolls?|packs?|packets?|punnets?|sheets?|blocks?|tins?|cans?|jars?|tubs?|bags?|box|boxes|tubes?) (?:of )?[a-zß-öø-ɏ][a-zß-öø-ɏ' -]{2,40}?),? (?:about |approx\.? |~)?(\d{2,4} ?(?:g|grams?|ml|oz|kg)|\d(?:\.\d)? ?(?:kg|lb))$/i,
      '$1 ($2)',
    )
    // "8 burrito tortillas" are large ones.
    .replace(/\bburrito(?:[- ]sized?)? (?=(?:flour )?(?:tortillas?|wraps?)\b)/i, 'large ')
    // "Milk warmed to 40C".
    .replace(
      /(?<=[a-zß-öø-ɏ]) ((?:warmed|heated|cooled|chilled) (?:up |down )?to (?:about )?\d{2,3} ?°? ?(?:[CF]\b|degrees)?)/i,
      ', $1',
    )
    // "Pastry for a double-crust 9-inch pie (about 600 g)".
    .replace(
      /^(?:short ?crust )?pastry (?:dough )?(?:for|to make) (?:an? |one )?(?:\d{1,2}[- ]?(?:inch|cm|")[- ])?(?:double|single|two|2)[- ]crust(?:,? \d{1,2}[- ]?(?:inch|cm|"))? pie\b/i,
      'shortcrust pastry',
    )
    // "A knob of butter in each pasty".
    .replace(IN_EACH_PIECE, '')
    // "2 leeks about 300 g": what they weigh together.
    .replace(WEIGHING_ABOUT, ', about ')
    // "12 empanada discs 15 cm": how wide they are.
    .replace(
      /(?<=[a-zß-öø-ɏ])(?<!\b(?:diced|cubed|cut|chopped|sliced|thick|pieces?|cubes?|dice|strips)) (\d{1,2}(?:[.,]\d)? ?-?(?:cm|inch(?:es)?|["”]))((?: (?:across|wide|in diameter|rounds?|squares?|each))?)$/i,
      ', $1$2',
    )
    // "2 tins tuna (145 g each, drained weight 102 g)": what comes out of each.
    .replace(
      /\((?:about )?\d{2,4} ?(?:g|oz|ml) each[,;]? (?:drained(?: weight)?:? (?<behind>\d+ ?(?:g|oz))|(?<front>\d+ ?(?:g|oz)) drained(?: weight)?)(?: each)?\)/i,
      (...found) => {
        const { behind, front } = found.at(-1) as Record<string, string | undefined>
        return `(${(behind ?? front)!} each drained)`
      },
    )
    // "2 tins mackerel (2 x 125 g drained)": the sum of what is in them.
    .replace(
      /\((\d) ?[x×] ?(\d{2,4}) ?(g|ml)\b([^()]*)\)/i,
      (_, many: string, each: string, unit: string, more: string) =>
        `(${Number(many) * Number(each)} ${unit}${more})`,
    )
    // "Approx 200 g", "ca. 200 g", and what is so much "in total".
    .replace(/(?<=^|[\s,(])(?:approx(?:imately)?|circa|ca)\b\.?\s*(?=\d)/gi, 'about ')
    .replace(/(\d\s?(?:g|kg|ml|oz|lb))\s+(?:in total|in all|total|altogether)(?=\)|$)/i, '$1')
    .replace(/(?<=[a-zß-öø-ɏ])\s+(?:in total|altogether)$/i, '')
    .replace(/(?<=[a-zß-öø-ɏ])\s+of (?:your |own )?(?:choice|liking|preference)\b/i, '')
    // "For the pastry I just buy 2 rolls of puff pastry".
    .replace(
      /^(?:for the [a-zß-öø-ɏ]+,? )?(?:i|we|you)(?:['’]ll)? (?:just |usually |always |normally |simply )?(?:buy|use|take|get) (?=\d|an? |one |two |three |some )/i,
      '',
    )
    // "2 (8-oz) tubes".
    .replace(/\((\d+(?:\.\d+)?)[- ](oz|ounces?|g|grams?|ml|lbs?)\.?\)/gi, '($1 $2)')
    // "320 g pack puff pastry x 2", "filo 270 g x 2", "1 egg x 2".
    .replace(/^(\d[\d.]*\s?(?:g|kg|ml|l|oz|lb)\b.*[a-zß-öø-ɏ])\s[x×]\s?(\d{1,2})$/i, '$2 x $1')
    .replace(/^([a-zß-öø-ɏ][^\d]*?),?\s+(\d[\d.]*\s?(?:g|kg|ml|l|oz|lb))\s*[x×]\s*(\d{1,2})$/i, '$3 x $2 $1')
    .replace(/^(?:1|one|an?)\s+([a-zß-öø-ɏ][^\d]*?)\s[x×]\s?(\d{1,2})$/i, '$2 $1')
    // "Onions x2, sliced", "egg x1 for glaze", "puff pastry x 2 (375 g packs)".
    .replace(
      /^([a-zß-öø-ɏ][a-zß-öø-ɏ '-]{1,40}?)\s*(?<=\s|[a-zß-öø-ɏ]{3})[x×]\s?(\d{1,2})(?=\s*(?:$|[,(]|[-–]\s|for\b|to\b))/i,
      '$2 $1',
    )

    .replace(/\b(?:extra[- ]large|jumbo|very large) (?=eggs?\b)/i, 'XL ')
    .replace(
      /\b((?:loosely |lightly |tightly |firmly |well )?packed)\s+(cups?|tbsp|tablespoons?)\b/i,
      '$2 $1',
    )
    .replace(/(?<=[a-zß-öø-ɏ])\s+in (?:the |their )?shells?\b/i, ', in shell')
    // "4 medium size aloo boiled n mashed".
    .replace(/\b(small|medium|large|big)[- ]size[d]? /gi, '$1 ')
    .replace(
      /(?<=[a-zß-öø-ɏ]) n (?=(?:mashed|chopped|peeled|grated|diced|sliced|deseeded|crushed|drained|cooled)\b)/gi,
      ' and ',
    )
    // How strong a flour is, is no part of its name.
    .replace(/\s*[,(]?\s*\d{1,2}(?:[.,]\d)?\s?% protein\)?/i, '')
    // "4 cloves, minced" are of garlic; "4 cloves" beside cardamom are the spice.
    .replace(
      /^(\d[\d -]*) cloves?,? (?=(?:finely |roughly )?(?:minced|crushed|chopped|sliced|grated|peeled|smashed))/i,
      '$1 cloves garlic, ',
    )
    .replace(/^((?:\d[\d -]*|a few|few|some)) cloves?(?=$|,)/i, '$1 whole cloves')
    // "1 egg white (half)": half of it goes in.
    .replace(
      /^(?:1|one|an?) ([a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}?),? \(?(?:use |only )?(half|a quarter)(?: of it| only)?\)?$/i,
      '$2 $1',
    )
    // "Turnover discs (1 pack of 14)": how many there are.
    .replace(
      /^([a-zß-öø-ɏ][^()\d]*?)\s*\((?:1 |an? )?(?:pack|packet|package|bag|tray)s? of (\d{1,3})\)$/i,
      '$2 $1',
    )
    // "1 packet of 40 spring roll sheets", "wonton wrappers, one packet of fifty": so many are in it.
    .replace(
      PACKET_OF,
      (_, front: string | undefined, many: string | undefined, other: string | undefined, behind: string) =>
        `1 packet ${front ?? behind} (${readNumber(many ?? other!)!.low})`,
    )
    // "40 g mozzarella per 4 pockets".
    .replace(FOR_SO_MANY, '')
    // "2% cottage cheese, 1 cup": the same in front, and the amount behind.
    .replace(
      /^(\d{1,2}(?:[.,]\d)?\s?%(?: fat)?) ([a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}?),? (?=\d)(\d[\d.,/ ]*\s?[a-zß-öø-ɏ]+)$/i,
      '$3 $2, $1',
    )
    // "1 ball mozzarella": a ball is of the fresh kind.
    .replace(/\bballs? (?:of )?(?:fresh |buffalo )?mozzarella\b/i, 'mozzarella balls')
    // "Raspberry jam, no added sugar": what sweetens it is not sugar.
    .replace(/\b((?:[a-zß-öø-ɏ]+ )?jam)\b[,( ]+(?:with )?no (?:added )?sugar\b\)?/i, 'sugar-free $1')
    .replace(
      NEED_AND_AMOUNT,
      (_, liquid: string, need: string, amount: string) => `${amount} ${liquid}${need ? `, ${need}` : ''}`,
    )
    // "Dumpling skins: 40 shop bought": how many of what stands before the colon.
    .replace(NAME_AND_COUNT, '$2 $1, $3')
    // "Hot water (80C)": how hot it is, is no amount.
    .replace(/\s*\((?:about |approx\.? |at )?\d{2,3}\s*°?\s?[CF]\)/g, '')
    .replace(/^(?:plus|and|also)\s+(?=[a-zß-öø-ɏ]{3})/i, '')
    .replace(/^(?:a )?(?:mix|mixture|blend|combination) of (?=\d|an? |[¼½¾])/i, '')
    .replace(/^(?:a )?couple (?!of\b)(?=[a-zß-öø-ɏ])/i, '2 ')
    // "Sweetcorn, small tin, drained".
    .replace(
      /^((?!(?:an?|one|two|three|four|half|some|small|large)\b|.*\b(?:for|the|to|in|from)\b.*(?:tin|can|jar|tub|packet|bag)\b)[a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}?),?\s+((?:half an?|½|1\/2) )?(?:(?:an?|one|1) )?(small |large |big |little )?(tin|can|jar|tub|packet|bag)\b(?!\s*(?:of\b|\d)),?\s*(.*)$/i,
      (_, food: string, half: string | undefined, size: string | undefined, pack: string, rest: string) =>
        `${half ? '0.5' : '1'} ${size ?? ''}${pack} ${food}${rest ? `, ${rest}` : ''}`,
    )
    // "1 x 40 pack wonton wrappers", "a 40-pack of wrappers": a pack that holds so many.
    .replace(
      /^(?:(\d{1,2}) ?[x×] ?|an? |one )?(\d{2,3})[- ]?pack(?:et)?s? (?:of )?([a-zß-öø-ɏ].*)$/i,
      (_, packs: string | undefined, many: string, food: string) =>
        `${packs ?? '1'} packs ${food} (${many} each)`,
    )
    // "Half a 400 g tin chickpeas".
    .replace(
      /^(?:half|½|1\/2) (?:of )?an? (?=\d+ ?(?:g|ml|oz)\b[- ]?(?:tin|can|jar|pack|packet|tub|block|bag|carton)s?\b)/i,
      '0.5 x ',
    )
    .replace(/[;,]\s*$/, '')
    .replace(/^little (?=[a-zß-öø-ɏ])/i, 'a little ')
    // "LOTS white pepper".
    .replace(
      /\b(?:loads|tons|masses|lashings|oodles|lots and lots|a (?:load|ton|heap)|(?<!\d )heaps) of\b/gi,
      'plenty of',
    )
    .replace(/^(?:lots|loads|plenty|tons) (?!of\b)(?=[a-zß-öø-ɏ])/i, 'plenty of ')
    // "Shortcrust (bought) 2 x 320 g sheets": so many of a weight behind the name.
    .replace(
      /^([a-zß-öø-ɏ][^\d]*?)[\s:,–—.-]+(\d{1,2}\s*[x×]\s*\d{2,4}\s*(?:g|kg|ml|oz)\b)\s*([a-zß-öø-ɏ]+)?$/i,
      '$2 $1',
    )
    // Sold by the pound it is mince: the bun is called a bun.
    .replace(/\bhamburger(?=\s*(?:$|[,(:–-]|\d))/i, 'hamburger meat')
    // "Raisins, 2 per turnover": how many of it each has.
    .replace(
      /^([a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?),? (\d{1,2}|an?|one|two|three|half) ((?:per|for each|in each|to each) [a-zß-öø-ɏ]+|each)$/i,
      '$2 $1 $3',
    )
    .replace(
      COUNT_IN_BRACKETS,
      (_, food: string, many: string, how: string | undefined, rest: string | undefined) =>
        [`${many} ${food}`, how, rest].filter(Boolean).join(', '),
    )
    .replace(
      SIZE_AND_COUNT,
      (
        _,
        front: string | undefined,
        sized: string | undefined,
        food: string | undefined,
        behind: string | undefined,
        many: string,
      ) => `${many} ${front ?? behind} ${sized ?? food}`,
    )
    // "Cashews few, broken": the amount behind the name.
    .replace(
      /^([a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?) (few|little|some)(?=\s*(?:,|\(|$))/i,
      (_, food: string, some: string) => (/^little$/i.test(some) ? `a little ${food}` : `${some} ${food}`),
    )
    // "Milk 270 warm", "butter 60 soft": how warm it is, behind its bare grams.
    .replace(
      /^([a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}) (\d{2,4}) (?=(?:luke)?warm$|hot$|cold$|cool$|tepid$|soft$|boiling$|(?:at )?room temp(?:erature)?$)/i,
      '$1 $2, ',
    )
    // "1/2 swede all diced small".
    .replace(
      /\ball (?=(?:(?:very|finely|roughly|thinly) )?(?:diced|chopped|sliced|grated|shredded|minced|cubed)\b)/gi,
      '',
    )
    // "Ground pork, not too lean" is the usual one.
    .replace(/[\s,]*\(?\bnot (?:too |very |extra |the )?lean(?:est)?\b\)?/gi, '')
    .replace(/\s+/g, ' ')
    .trim()

  return withUnitInFront(text)
}
