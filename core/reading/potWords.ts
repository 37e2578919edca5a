import { recalled } from './matches'
import type { Food } from '../food/food'
import { middleMinutes, timesIn } from './time'
import { GOES_ON } from './verbs'

// The words by which a method puts things into a pot, takes them out, and says that it is hot.

/** "Heat the oil": the pot is hot and nothing is in it yet. */
export const HEATS_FAT = recalled(
  /\b(?:heat|warm|melt) (?:the |some |a little |\d\S* \w+ )?(?:(?:rest|half) of (?:the )?)?(?:\w+ )?(?:oil|butter|ghee|lard)\b|^\W*spray (?:an? |the |your )?(?:[\w-]+ ){0,2}(?:pan|skillet|wok)\b/i,
)
export const OFF = recalled(
  /\b(?:cool(?:ed)?|fridge|refrigerat\w*|chill|overnight|(?:off|from) (?:the )?(?:heat|flame|fire)|(?:go|gone|goes|get) cold|turn off|switch off|set aside|when cold|once cold|leave to cool|take off)\b/i,
)
export const ALL = recalled(
  /\b(?:filling|stuffing|mixture|everything|all(?=\W*$)|all (?:the )?(?:ingredients|stuffing|filling|together)|the rest|the lot|veg(?:etables)?|powders?|spices|masalas?)\b/i,
)
/** Wrung out, mashed or chopped: it is out of its pot, and what follows is stirred in raw. */
export const OUT_OF_POT = recalled(
  /\b(?:squeeze|wring)(?: (?!in\b|over\b|of\b|lemon|lime)[a-zß-öø-ɏ]+){0,2} (?:out|dry|well|hard)\b|\bsqueeze (?:out|dry)\b|\b(?:squeeze|wring)(?: (?:it|them))?\W*$|\bdrain(?:ed)?(?: (?:well|thoroughly|it|them))*(?:\W*$|,? (?:and|then|&) (?:chop|mash|squeeze|cool|peel|dice|slice|shred|blitz|crush|rinse|flake)\b)|^\W*(?:mash|crush|chop|blitz|pur[ée]e(?=\s+(?:it|them|the|until|till)\b))(?![a-zß-öø-ɏ])/i,
)
export const ADDS = recalled(
  /\b(?:add|stir in|mix in|toss in|tip in|put in|throw in|chuck in|bung in|sling in|pour in|grate in|crumble in|back in|with the|and the|whisk in|then)\b/i,
)
export const LID_ALONE = recalled(
  /^\W*(?:cover(?: the pan)?|(?:put )?(?:the |a )?lid on|stir(?:ring)?(?: (?:occasionally|often|well))?|season(?: well)?)\W*$/i,
)
/** "Toss with the oil", "spread on a tray": on the way into the oven nothing else is meant. */
export const PASSES_ON = recalled(
  /^\W*(?:then )?(?:(?:toss|mix|coat|drizzle|season)(?: (?:it|them|well|generously))* (?:in|with) (?:(?:the|a little|some|half (?:of )?the|\d\S*(?: [a-zß-öø-ɏ]+)?) )*(?:(?:[a-zß-öø-ɏ]+ )?(?:oil|butter|ghee)|salt|seasoning)(?: (?:and|&) (?:salt|pepper))*|(?:spread|lay|put|tip|arrange)(?: (?:it|them|out))* (?:in|on|onto|over|into) (?:a|an|the|your) (?:[a-zß-öø-ɏ]+ ){0,2}(?:tray|tin|sheet|dish))\W*$/i,
)
export const ADDING = recalled(
  /^\W*(?:adding|with) (?:in )?(?:the )?[a-zß-öø-ɏ][^;]*\b(?:last|final|end|halfway|half way|towards)\b/i,
)
export const ADDED_TO = recalled(
  /\b(?:add|stir|tip|put)\b (?:(?:half|some|most|a third|two[- ]thirds|a quarter)(?: of (?=it|them|the))? ?)?(?:it |them |this |these |the [a-zß-öø-ɏ]+ )?(?:in)?to (?:the )?([a-zß-öø-ɏ]{3,}(?: [a-zß-öø-ɏ]+)?)/i,
)
/** Water of the pot that the pieces, or the potatoes in it, are boiled in. */
export const HEATS_WATER = recalled(
  /\b(?:bring|boil) (?:a (?:large |big )?(?:pot|pan) of |the |some )?(?:salted )?water\b/i,
)
export const INGREDIENT_STATES =
  /\b(?:boiled|cooked|roasted|fried|browned|steamed|toasted|scrambled|blanched|(?<=\b(?:the|some|left[- ]?over|cold|yesterday['’]?s|bought|shredded|chopped) )roast(?= (?:lamb|beef|chicken|pork|turkey|duck|meat|ham|potato(?:es)?|vegetables|veg|peppers?)\b))\s+(?=[a-zß-öø-ɏ])(?!(?:in|with|until|till|for|over|on|down|whole|slow|[a-zß-öø-ɏ]+ly)\b)/gi

export const GOES_IN_RAW = recalled(
  /\b(?:goes?|stays?|kept|left|add(?:ed)?|stir(?:red)?|mix(?:ed)?)(?: it| them)?(?: in)? raw\b/i,
)
export const INTO_BOWL = recalled(
  /\b(?:tip|turn|scrape|transfer|put|move|empty|spoon|add)\b (?:it |them |this |everything |all |the [a-zß-öø-ɏ]+ )?(?:out )?(?:in)?to (?:(?:a|the|your|another) )?(?:[a-zß-öø-ɏ]+ )?(?:bowl|processor|blender)\b/i,
)
export const DOES_IT_IN = recalled(
  /^\W*(?:and )?(?:then )?(?:(?:pressure|slow)[- ]cook|stir[- ]?fry|fry|saut[eé]|cook|roast|soften|sweat|brown|simmer|boil|steam|scramble)\s+(?:(?:it|them|gently|slowly|all|this)\s+)*(?:in|with|for|until|till|over|on|\d)/i,
)

/** With less liquid than this share of what is in the pot nothing simmers. Our own choice. */
export const MIN_POURED_SHARE = 0.08

export const SIMMERS = recalled(/\b(?:simmer|stew|braise|bubble|boil|poach|lid|cover)/i)
export const POURS_ON = recalled(
  /(?:\b(?:add|pour|(?:chuck|throw|tip|bung|sling) in|(?<!\ban? (?:[a-zß-öø-ɏ]+ )?)splash|plus|cover)\b|\+)(?![^.]{0,40}\ba (?:small |little |tiny |good )?(?:splash|dash|drop)\b)(?:[^.]|(?<=\b(?:c|tbsp|tsp|oz))\.){0,40}\b(?:water|stock|broth|wine|beer|ale|cider)\b/i,
)

/** "Add the peas and 1/4 cup water, cover, cook 10 min": it stews. */
export const COVERED = recalled(/\b(?:cover(?:ed)?|lid on|under a lid|with (?:a|the) lid(?: on)?)\b/i)

export const LONG = recalled(/\b(?:hours?|hrs?|[3-9]\d ?min)/i)
export const ADDS_LIQUID = recalled(/\b(?:add|pour|stir in|whisk in|with the)\b/i)
export const WHOLE_POT = recalled(/\b(?:everything|all|filling|stuffing|mixture)\b/i)
export const STRETCHES =
  /,\s+(?=[a-zß-öø-ɏ])|(?<!\d ?(?:mins?|hrs?))\.\s+|\s+(?:and|&) (?=(?:cook|fry|simmer|boil|roast|add|stir|cool|saut|let|season|mash|crush)\b)/i

/** "Mix with the cheese": what has been cooked is out of its pot. */
export const COMBINES = recalled(
  /^\W*(?:then )?(?:(?:chop|squeeze|drain|cool|flake|shred|grate|crumble|dice|slice|blitz|pur[ée]e)(?: (?:it|them|well|up|finely|roughly))* (?:and|then|&) )?(?:mix|combine|toss|mash|crush|work|fork|beat) (?:(?:[a-zß-öø-ɏ]+ ){0,4}with\b|(?:all|everything|it all|them all)\b)|^\W*(?:then )?beat in (?!.*\b(?:flour|milk)\b)|^\W*(?:then )?(?:blitz|blend|pulse|process|whizz) (?:[a-zß-öø-ɏ]+ ){0,2}with\b/i,
)

/** "A pound of beef one onion two cloves of garlic": told what there is, and nothing done with it yet. */
export const isListing = (text: string): boolean =>
  (text.match(/(?:^|\s)(?:\d[\d./]*|[¼½¾⅓⅔]|an?|half)\s+[a-zß-öø-ɏ]/gi)?.length ?? 0) >= 3

/** What is laid on dough by itself. */
export const ASSEMBLES = recalled(
  /\b(?:spread|lay|layer|scatter|sprinkle|top|dot|smear|add)\b|\b(?:fill|stuff)\b[^.;]*\bwith\b|\b(?:divide|share|split)\b[^.;]*\b(?:among|between|over)\b[^.;]*\bwith\b/i,
)
export const PUTS_ON = recalled(/\b(?:put|place|spoon|dollop|pipe|tuck)\b/i)
export const MARINATES = recalled(/^\W*(?:marinate|coat|rub|toss)\b/i)
export const ROLLS = recalled(/\b(?:cut|roll|divide|portion|flatten|stretch|stamp|unroll)\b/i)
export const MIXES = recalled(/^\W*(?:then )?(?:mix|combine|toss|stir)\b/i)

export const PREPARES = recalled(
  /^\W*(?:[a-zß-öø-ɏ]+ly )?(?:grind|chop|slice|dice|grate(?! in\b)|soak|squeeze|drain|peel|wash|mash|rinse|shred|crumble(?! in\b)|cut|salt|thaw|press|crush|cube|mince(?! \d)|finely|pit|core|(?:let|leave) (?:the )?[a-zß-öø-ɏ]+ (?:to )?(?:thaw|defrost|drain))\b/i,
)

/** "30 minutes uncovered". */
export const LID_OFF = recalled(
  /^\W*(?:for )?(?:an? |another |\d)[^.;]{0,16}(?:min\w*|hours?|hrs?|h)\b[^.;]{0,8}\b(?:un)?covered\W*$|^\W*(?:uncover(?:ed)?|lid off)(?: and (?:roast|cook|bake))? (?:for )?(?:another )?\d[^.;]{0,12}(?:min\w*|hours?|h)\W*$/i,
)
/** "… sugar, salt and the water". */
export const THE_LIQUID = recalled(/\bthe (?:water|stock|broth|wine|beer)\W*$/i)
/** Roots, and whatever is bought dry, are boiled where they are cooked by themselves. Common practice, no source. */
export const isCookedInWater = (food: Food | null): boolean =>
  food !== null &&
  (/^(?:potato|sweet-potato|yam|cassava)$/.test(food.id) ||
    (food.state === 'dry' && /^(?:pulse|noodle|starch)$/.test(food.group)))
/** So long no potato is fried in a pan. Our own choice. */
export const BOILS_FROM_MINUTES = 15
/** Chopped tomatoes simmer in their own juice. */
export const isJuicy = (food: Food | null): boolean => /^tomato(?!-puree)/.test(food?.id ?? '')
export const IN_THE_FAT =
  /\b(?:in|with) (?:the |hot |a little |some |\d\S* [a-zß-öø-ɏ]+ )*(?:[a-zß-öø-ɏ]+ )?(?:oil|butter|ghee|lard|dripping|margarine|marg|fat)\b/i
export const IN_WATER = /\b(?:in|with|and) (?:the |its |their )?water\b(?! to cover)/i
export const LISTS_WATER = /^\W*(?:the )?water\b/i
export const UNTIL = /\b(?:until|till)\b.*$/i
/** "Mash the boiled potatoes". */
export const MASHES = recalled(/^\W*(?:mash|crush|flake)\b/i)
export const isReady = (food: Food | null): boolean =>
  food !== null && /^(?:cooked|canned)$/.test(food.state ?? '')
export const BAKES = recalled(/^\W*(?:then )?bake\b[^.;]*\d/i)
export const BLENDS = recalled(/^\W*(?:blitz|blend|pulse|process|whizz)\b/i)

/** What was blended, by any name. */
export const THE_BLEND = recalled(
  /(?:\b(?:add|pour|tip|stir)\b[^.;]{0,12}|^\W*(?:then )?)\b(?:the|this|that) (?:[a-zß-öø-ɏ]+ )?(?:sauce|pur[ée]e|paste|blend|salsa)\b/i,
)

/** "Filling: fry the onions": the name in front is no food of it. */
export const withoutLabel = (text: string): string =>
  text.replace(/^[^:;,.]{0,40}\b(?:filling|stuffing|mixture)\b[^:;,.]{0,16}:\s*/i, '')
/** "Stir in the cheese off the heat", "add the peas when cool". */
export const ADDED_COLD = recalled(
  /^\W*(?:off the (?:heat|flame)|(?:when|once) (?:it['’]?s |it is |they['’]?re |they are )?(?:cool|cold|off the heat)(?:ed)?),? (?:add|stir|mix|fold|tip|throw|grate|crumble)\b|^\W*(?:then )?(?:add|stir|mix|fold|tip|throw|grate|crumble)\b(?![^;]*\d[^;]{0,8}min)[^;]*\b(?:off the (?:heat|flame)|(?:once|when) (?:it(?:['’]s| is) |they(?:['’]re| are) )?(?:cool|cold)(?:ed)?|after cooling)\W*$/i,
)
export const IN_PAN = recalled(
  /\b(?:in|into) (?:an? |the |your )?(?:[a-zß-öø-ɏ]+ ){0,3}?(?:pan|pot|saucepan|wok|kadai|skillet|casserole)\b|^\W*(?:same pan|oil in|butter in|ghee in)\b|\b(?:on|over) (?:an? )?(?:low|medium|high|gentle)(?: heat| flame)?(?=\W*(?:$|,|\d|for\b|until|till))/i,
)
/** "Everything but the cheese". */
export const LEAVES_OUT =
  /\b(?:everything|all(?: the ingredients)?|the lot|the rest)\s+(?:but|except(?: for)?|apart from|bar|minus|without|other than) (?:the )?((?:(?!\bfor\b|\bin\b|\buntil\b|\bon\b)[^.;,\d])*)/i
/** With liquid in the pot so long by itself is simmering. Our own choice. */
export const SIMMERS_FROM_MINUTES = 8
export const minutesIn = (text: string): number =>
  timesIn(text).reduce((sum, time) => sum + middleMinutes(time), 0)
export const THEM = recalled(/\b(?:them|these|those)\b/i)
export const PREPARED = recalled(
  /\b(?:washed|sliced|chopped|diced|peeled|grated|shredded|trimmed|cubed|crushed|minced)\W*$/i,
)
export const BARE_VERB = recalled(
  /^\W*(?:boil|fry|cook|steam|roast|simmer|blanch|saut[eé]|brown|soften|grill|bake)\W*$/i,
)
/** "Add the onion and fry gently". */
export const PUTS_IN = recalled(/^\W*(?:then )?(?:add|put in|tip in|chuck in|throw in)\b/i)
export const STANDS_IN = recalled(
  /\bin (?:with|there|it)\b|\b(?:goes?|into the pan|in the pan|into (?:[a-zß-öø-ɏ]+ ){0,3}water)\b/i,
)
export const MADE_SO =
  /\b(?:(?<boiled>boiled)|(?<steamed>steamed)|(?<fried>fried)|(?:roasted|baked))\s+(?:and (?:mashed|peeled|cooled) )?(?!(?:in|with|until|till|for|over|on)\b)(?<food>[a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?)/gi
export const REST = recalled(
  /\bthe rest\b|\bremaining\b|\beverything else\b|\bother (?:(?:filling|stuffing) )?(?:ingredients|things|stuff|filling)\b|\b(?:add|tip in|throw in|put in) (?:in )?everything\b/i,
)
export const DRAINED = recalled(/\bdrain(?:ed|ing)?\b(?! (?:off )?(?:the |any |excess )*(?:fat|oil|grease))/i)
export const VERB = recalled(
  new RegExp(`\\b(?:${GOES_ON}|crush|crumble|combine|set|tip|when|once)(?:s|d|ed|ing)?\\b`, 'i'),
)
export const ADDS_REST = recalled(
  /^\W*(?:(?:then )?(?:add|tip in|stir in|in goes?|throw in) )?(?:all )?(?:the rest|everything(?: else)?|(?:the )?(?:remaining|other) (?:(?:filling|stuffing) )?(?:ingredients|filling))(?: of the (?:filling|ingredients))?(?=\W*$)/i,
)
