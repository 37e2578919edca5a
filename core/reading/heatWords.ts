import { recalled } from './matches'

// What clauses about the heat of the pieces look like.

/** "(Air fryer: 325, 12 mins)", behind an oven that has its time. */
export const OTHER_OVEN = recalled(
  /^\W*(?:or )?(?:in (?:an? |the )?)?(?:air[- ]?fry(?:er)?|(?:conventional |fan )?oven)\s*(?:[:–—-]|(?=\d{3}))[^;]*\d(?:[^;]*min|[^;\d]{1,8}\d{1,2}\s*[-–]\s*\d{1,2})/i,
)
/** "To steam: …", "to pan fry: …": the same told in several ways. */
export const WAY_LABEL = recalled(
  /^\W*to (steam|boil|bake|grill|griddle|(?:pan[- ]?|deep[- ]?|shallow[- ]?|air[- ]?)?fry)(?: (?:them|the [a-zß-öø-ɏ]+))?\s*[:–—]/i,
)
/** "Heat 1 tbsp oil in a large skillet": the pan is put on, and nothing is in it yet. */
export const HEATS_OIL = recalled(/^\W*(?:heat|warm|melt)\b[^.;]*\b(?:oil|butter|ghee|lard)\b/i)
/** "Cover & cook 2 min": of a way that is named before it. */
export const COOKS_ON = recalled(
  /^\W*(?:then )?(?:(?:cover|lid on|put (?:the |a )?lid on)(?:,| and| &| \+)? )?cook(?: (?:for|about))* ?\d[^.;,]{0,12}min\w*(?: (?:more|longer|further))?\W*$/i,
)
/** "Turn the tawa over the flame 1 min": the other side. */
export const TURNS_FIRST = recalled(
  /^\W*(?:then )?(?:flip|turn)\b(?! (?:down|up|off|on\b|(?:the )?(?:heat|oven)))/i,
)
/** "… ; turn over; 10 min". */
export const TURNED = recalled(/\b(?:turn|flip)(?: (?:them|it))?(?: over)?\W*$/i)
/** "Lower to 190 when you put them in": what they are baked at. */
export const ONCE_IN = recalled(
  /\b(?:when|once|as soon as|after) (?:you(?:'ve)? (?:put|pop|slide) (?:it|them|the \w+) in|(?:they|it)(?:'re| are|'s| is)? (?:go(?:es)? )?in(?:side)?)\b/i,
)
/** "After 10 minutes drop to 180": so long at the heat before. */
export const AFTER_SO_LONG = recalled(
  /^\W*after (?:the first |about |around )*(\d[^,;]{0,14}?min\w*|half an hour|an hour),? (?=[^.;]{0,30}\b(?:turn|drop|reduce|lower|take)\b)/i,
)

/** "In a 250 °C oven", "a very hot 250C oven": an oven by its heat, behind "or". */
export const OVEN_BY_HEAT = String.raw`(?:(?:in|use) )?(?:an? |the )?(?:very )?(?:hot )?\d{3} ?°? ?[cf]? ?(?:hot )?oven`
export const ANOTHER_WAY = recalled(
  new RegExp(
    String.raw`(?:\b(?:or|alternatively,?(?: you can)?)|\s/) ((?:deep|shallow|air|pan)?[- ]?(?:fry|bake|steam|boil)|(?:in (?:the |an? )?)?(?:oven|air[- ]?fryer)(?=[^.]{1,12}\d)|${OVEN_BY_HEAT})\b(?:\([^().]{0,40}\)|[^.()]){0,60}`,
    'i',
  ),
)
export const OR_BEHIND = /\bor\W*$/i
export const PREHEATS =
  /\b(?:pre-?heat|heat(?:ed)? (?:the |your |an? )?(?:oven|oil|steamer|air fryer)|(?:turn|switch) (?:on )?the oven(?! (?:down|up|lower)))\b|^\W*oven\b(?![^.;]*(?:min|\d ?m\b|\bfor\b|\d{3}\W*[cf]?\b[^\d/(]{1,6}\d{1,2}\b))[^.;]{0,8}\d{3}[^.;]{0,60}\.?$/i
export const TOTAL = recalled(
  /\b(\d{1,2}(?:\s?(?:-|–|to)\s?\d{1,2})?)\s?(?:min\w*)?\s(?:in total|altogether|in all|all told)\b/i,
)
export const DONE_AFTER =
  /\b(?:they(?:['’]re| are| will be)|it(?:['’]s| is)|each is) (?:done|ready|cooked)\b/i
/** "Oil at 175 °C." */
export const OIL_AT =
  /^\W*(?:get |have |bring )?(?:the )?(?:frying |hot )?oil (?:at|to|should be(?: at)?|is)\b[^.;]{0,12}\d{3}/i
/** "Cook lightly on a tawa, a few seconds a side": so that sheets come apart and hold together. */
export const HALF_COOKED = recalled(
  /\b(?:half|par|partly|partially)[- ]?(?:cook|bake|done)|\b(?:cook|roast|dry|warm|toast)\w* (?:it |them |each |very )*(?:lightly|slightly|briefly)\b|\d\s?secs?\b|\bseconds\b|\bcook\w* (?:[a-zß-öø-ɏ\d]+ ){0,4}(?:crepes?|crêpes?|pancakes?)\b/i,
)
export const LOWERS = recalled(
  /\b(?:reduce|lower|drop|turn)\b[^.;]{0,30}\b(?:oven|heat|temperature|it|down)\b[^.;]{0,12}\bto\b/i,
)
export const GIVES_MORE = recalled(
  /\b(?:another|further|more)\b|^\W*(?:uncover(?:ed)?\b|lid off|(?:remove|take off|lift) the lid)\b/i,
)
export const WAITING = recalled(
  /\b(?:rest|cool|stand|chill|prove|proof|rise|wait|sit|knead|soak|freeze)\w*\b/i,
)
export const BOILS_LIQUID = recalled(
  /\b(?:bring|heat)\b[^.;]{0,24}\b(?:broth|stock|soup|water)\b[^.;]{0,16}\b(?:boil|simmer)/i,
)
export const COOKS_PIECES = recalled(
  /^\W*(?:then )?(?:cook|add|drop|lower|put)\b(?![^.;]*\b(?:oven|pan|oil|butter)\b)/i,
)
/** "… 3 minutes at 160, then 1 minute at 190": the same oil, hotter. */
export const TIME_AT_HEAT = recalled(
  /^\W*(?:and )?(?:then )?(?:for )?\d[^.;,]{0,10}min\w* at \d{3}\W*[cf]?\W*$/i,
)
