import type { PartKind } from '../recipe/vocabulary'
import { remember } from './remember'

/**
 * What a heading opens. `same` goes on with the part that is open ("Dry ingredients", "Spices"); `component` is
 * made for another part ("For the gravy"); `unknown` has to be asked about.
 */
export type HeadingKind =
  PartKind | 'component' | 'unknown' | 'same' | 'method' | 'ingredients' | 'remarks' | 'noise'

/** What begins a dough under a name of its own, for patterns. */
export const STARTS_DOUGH =
  'tang ?zhong|yudane|(?:water|flour|milk) roux|sponge|starter|old dough|yeast mix(?:ture)?|poolish|levain|pre-?ferment|biga'

// The order matters: "egg wash for the pastry" finishes, it is no shell; "dipping sauce" is no filling.
const KINDS: readonly [HeadingKind, RegExp][] = [
  [
    'noise',
    /^(?:nutrition(?:al)?(?: facts| information| values?| data)?|per serving|comments?|reviews?|related(?: recipes)?|share(?: this)?|advertisement|\d+ (?:comments?|replies|reviews)|responses|replies|leave a (?:comment|reply|review)|(?:reader|user|customer) (?:comments?|reviews?)|(?:more|other|similar) recipes|you (?:may|might) also (?:like|enjoy))\b/,
  ],
  [
    'method',
    /^(?:the )?(?:(?:cooking |baking )?(?:method|instructions?|directions?|steps?|procedure)|step[- ]by[- ]step(?: (?:method|instructions|guide))?|preparation(?: method)?|how to(?: make| do| cook| prepare)?(?: (?:it|them|this))?|how i (?:make|do) (?:it|them)|making (?:it|them)|how|what (?:to|you|i|we) do|to do|assembly|assembling|to assemble(?: .*)?|shaping|to shape(?: .*)?|rolling out|putting (?:it|them) together|how to make .*)$/,
  ],
  [
    'method',
    /^(?:making|preparing|assembling|shaping|baking(?! soda| powder| sheet| tray)|frying|steaming|boiling|kneading) (?:the )?\w+(?: \w+)?$/,
  ],
  [
    'remarks',
    /^(?:(?:(?:(?:some|my|our|a few|more|extra|top|pro|expert|helpful|final) )?(?:(?:cook|chef|baker|recipe|ingredient|baking|cooking|kitchen|serving|storage)'?s? )?(?:notes?|tips?|tricks?|hints?)|storage|storing|freezing|reheating|variations?|(?:special )?equipment|edit(?:ed)?|updated?|allergens?|allergy (?:advice|information)|allergen (?:advice|information)|make[- ]ahead|substitutions?|swaps|good to know|leftovers|troubleshooting|faqs?|serving (?:suggestions?|ideas)|frequently asked(?: questions)?|common questions|questions)(?:(?:,| and|,? \/| &) (?:\p{L}+[- ]?){1,3})*|to (?:freeze|store|reheat|make ahead)|how to (?:freeze|store|reheat|serve|keep)(?: .*)?|(?:what|how) to serve (?:it|them|with|these).*|why (?:you'll|you will|we|i) love .*|about (?:this|these|the) (?:recipe|dish)|tips (?:for|and) .*|notes on .*)$/u,
  ],
  [
    'ingredients',
    /^(?:the )?(?:others?|extras?|(?:other|remaining) (?:stuff|things|bits|ingredients|items)|ingredients?(?: list| needed| required)?|shopping list|you(?:'ll| will)? need|(?:here(?:'s| is) )?what (?:you|you'll|you will|i|we) (?:need|used?)|things you need)$/,
  ],
  [
    'same',
    /^(?:the )?(?:dry|wet)(?: (?:ingredients?|mix|mixture|stuff|things))?$|^(?:dry|wet) ingredients? .*$|^optional(?: (?:extras?|additions?|add[- ]?ins?|ingredients?))?$|^(?:spices?|seasonings?|aromatics|flavourings?|flavorings?|vegetables?|veg|herbs|the rest|also|plus)$|^(?:(?:the )?(?:next|following|second|2nd) (?:day|morning)|later|in the morning|after (?:the )?(?:\d+ hours?|resting|rising)|then)?,? ?(?:add|to add|add in|then add)$/,
  ],
  [
    'dip',
    /\b(?:dip|dips|dipping|chutney|relish|sambal|salsa|to serve|serving|serve with|for serving|served with|raita|achar|aioli|guacamole|pico de gallo|zhoug|(?:avocado|lime|garlic|chipotle|sriracha|cilantro|coriander|herb|jalapeño) crema|(?:garlic|garlicky|mint|minty|herby?|herbed|chilli|lemon|cucumber|tahini|spiced|harissa|sriracha) (?:yogh?urt|labneh|mayo|mayonnaise|sour cream|cr[eè]me fra[iî]che)|chimichurri|tzatziki|pebre|soup(?! jelly)|curtido|slaw|accompaniments?|on the side|each bowl|alongside|to go with (?:it|them)|to accompany|accompanying|drizzling|^with|^serve$|^egg butter$)\b|^(?:the )?(?:\p{L}+ ){0,2}(?:sauce|dressing)(?: (?:to|for) (?:toss(?:ing)?|coat(?:ing)?|serv(?:e|ing)|drizzl(?:e|ing)|pour(?:ing)?)(?: .*)?)?$|^(?:the )?(?:\p{L}+ ){0,2}(?:broth|syrup)$|^(?:\p{L}+ )?(?:broth|stock|soup) (?:to|for) \p{L}+$/u,
  ],
  [
    'finish',
    /\b(?:finish|finishing|glaze|glazing|wash|egg ?wash(?:ing)?|before baking|(?:final|last|finishing) touch(?:es)?|^shine$|topping|toppings|brush|brushing|garnish|sealing|to seal|on top|for the tops?|the tops?|(?:crust|pastry|pie) tops?$|to coat|coating|sprinkling|to sprinkle|crumb coat|to decorate|decoration|icing|frosting|drizzle)\b|^top$|^(?:(?:brown(?:ed)?|sage|garlic|herb|spiced|chilli|onion|burnt) )+butter$|^(?:the )?(?:\p{L}+ )?(?:crumble|streusel)$/u,
  ],
  ['marinade', /\b(?:marinade|marinating|to marinate|brine|brining|soaking liquid)\b/],
  [
    'filling',
    /^(?:the )?(?:savou?ry|sweet)(?: (?:end|side|half|one|part|bit))?$|^(?:the )?(?:meat|keema|kheema|kefta|kofta|pino|picadillo|mince)(?:s| mix(?:ture)?)?$|\b(?:filling|fillings|stuffing|stuffings|insides?|inner|innards|to fill|to stuff|farce|relleno|recheio|fill|^stuff$|middle|(?<!\byeast )mixture|centres?|centers?|custard(?: cream)?|cr[eè]me p[aâ]tissi[eè]re)\b/,
  ],
  [
    'pan',
    /^(?:for )?(?:the )?(?:frying )?pan$|^(?:for (?:the )?|to )?(?:(?:deep|shallow|pan)[- ]?)?(?:fry|frying|griddling|griddle|cook|cooking|greasing|grease|steaming|steam|boiling|boil)$|^for (?:the )?(?:(?:deep|shallow|pan)[- ]?)?(?:frying|griddling) (?:the|them)\b|\b(?:for the (?:pan|griddle|tray|steamer|tin|pot|fryer|tawa)|(?:soda|lye|boiling|poaching|water) bath|^bath$|oil for (?:deep |shallow )?frying|frying oil|for (?:deep |shallow )?frying|to (?:deep|shallow|pan)[- ]?fry)\b/,
  ],
  [
    'component',
    new RegExp(
      String.raw`\b(?:seitan|gravy|masala|roux|white sauce|b[eé]chamel|${STARTS_DOUGH}|caramel|pesto|flax eggs?|spice (?:mix|blend|paste)|(?:curry|spice|chilli|garlic) paste|cashew cream|seasoning mix|(?:soup|stock|meat|broth|pork|chicken) jelly|jellied stock|aspic)\b|^(?:the )?jelly$`,
    ),
  ],
  [
    'shell',
    /\b(?:dough|doughs|pastry|wraps?|wrappers?|wrapping|skins?|crusts?|shells?|casings?|cases?|covering|cover|outer|outside|base|bottom|breads?|flat ?breads?|naans?|rotis?|parathas?|kulchas?|chapatis?|buns?|lid|shortcrust|jacket|discs|sheets?|masa|short ?crust|cr[eê]pes?|pancakes?|rough puff|hot water crust|suet crust)\b|^(?:the )?(?:fresh |egg )?pasta$|^main(?: (?:dough|mix(?:ture)?))?$/,
  ],
]

const BETWEEN_LAYERS =
  /^(?!.*\b(?:filling|stuffing|cheese)\b).*\b(?:in ?between|between|for|to brush|to wet|to moisten|brushing) (?:the )?(?:layers|sheets|leaves)\b/
const LEAD = /^(?:for|to make(?![ -]ahead)|make(?![ -]ahead)|prepare)\s+(?:the\s+|your\s+)?/
/** Which part, or what else, the words of a heading name; null for words that name none. */
export const kindOf: (name: string) => HeadingKind | null = remember(findKind)

function findKind(name: string): HeadingKind | null {
  const plain = name
    .toLowerCase()
    .replace(/\([^)]*\)|\[[^\]]*\]/g, '')
    .replace(/&/g, 'and')
    .replace(/[:.\-–—]+\s*$/, '')
    // "Sauce 2".
    .replace(/\b(sauce|dip|dressing|chutney|topping|broth) ?(?:#|no\.?)? ?[1-4]$/, '$1')
    .replace(LEAD, (lead) => (/^for/.test(lead) ? 'for the ' : ''))
    .replace(/\bingredients?(?: for)?(?: the)?\b/, (word, at: number) =>
      at === 0 &&
      /^ingredients?$/.test(
        name
          .replace(/\([^)]*\)|\[[^\]]*\]/g, '')
          .trim()
          .toLowerCase(),
      )
        ? word
        : '',
    )
    .replace(/\s+/g, ' ')
    .trim()
  const bare = plain.replace(/^for the /, '')
  // "Topping / filling" of a boat that stays open is what it holds.
  if (/\btopping/.test(plain) && /\bfilling/.test(plain)) return 'filling'
  // "Sauce between the layers" is brushed on them.
  if (BETWEEN_LAYERS.test(plain)) return 'finish'
  // "For frying the pockets" lists a fat; "frying the pockets" leads steps.
  const isForPan = /^for the (?:frying|griddling|steaming|boiling)\b/.test(plain)
  for (const [kind, pattern] of KINDS)
    if (!(isForPan && kind === 'method') && (pattern.test(plain) || pattern.test(bare))) return kind
  return null
}
