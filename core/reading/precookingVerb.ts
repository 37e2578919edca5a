import { PRECOOKING_TABLE, PRECOOKING_WAYS, type PrecookingWay } from '../recipe/precookingWays'
import { recalled } from './matches'

const COOK = recalled(/\bcook(?:\W*$| (?!the (?:oil|oven|pan|griddle|butter|ghee))(?:[a-zß-öø-ɏ]|,| )*)/i)
export const DRY =
  /\b(?:until|till) (?:it'?s? |they'?re? |the (?:filling|mixture|pan|sauce|gravy|curry|masala) is |it is |they are |almost |completely |quite |nearly |thick and |thick, |soft and |wilted and |browned and |brown and |golden and |tender and |cooked and )*(?:dry|crumbly)\b|\b(?:until|till)\b[^.;]{0,40}\band (?:it(?:['’]s| is) |is |quite |nearly )*dry\b|\bso (?:that )?(?:it'?s|they'?re|it is|they are|the filling is) (?:quite |nearly |almost )?dry\b|\b(?:(?:all )?the )?(?:water|moisture|liquid|juices?|stock|wine|drop)\b[^.]{0,30}\b(?:gone|evaporat\w+|dried|dries|absorbed|cooked (?:off|out|away)|driven off|boiled (?:off|away)|shows?)\b|\bno (?:more )?(?:water|liquid|moisture)\b|\bdry (?:it |them )?(?:off|out)\b|\bdry it(?=\W*$)|\blet it (?:all )?(?:cook|boil|bubble|simmer) (?:away|off)\b/i
/** "Get the leeks soft in the butter": what lies in fat on the heat is fried. */
const IN_FAT = recalled(
  /(?<!\b(?:mix|stir|rub|fold|beat|whisk|pour|work|toss|coat|dip|turn|brush|roll|blend)\b[^.;,]{0,24})\bin (?:the |a (?:little|bit of) |some (?:of the )?|hot |half (?:of )?the )?(?:oil|butter|ghee|lard|dripping)(?=\W*(?:$|,|until|till|for|over|on|with|\())/i,
)
const TILL = /\b(?:until|till)\b.*$/i
const IN_LIQUID =
  /(?<!\b(?:stir|whisk|pour|mix|beat)(?:r?ing)? )\bin (?:the |its |their |some |a little |plenty of |\d\S* ?(?:ml |cups? |g )?(?:of )?)?(?:salted |boiling |simmering )*(?:water|stock|broth|milk)\b/i
const HEATS_LIQUID = recalled(
  /^\W*(?:heat|warm|bring) (?:the |\d\S* )?(?:[a-zß-öø-ɏ]+ )?(?:milk|cream|stock|broth)\b(?![^.;]*\b(?:flour|dough|yeast)\b)/i,
)
/** "Gently heat the filling ingredients until thick". */
const HEATS_FILLING = recalled(
  /^\W*(?:gently |slowly )?heat (?:gently |slowly )?(?:(?:all|the|of|your|everything|remaining) )*(?:filling|stuffing|mixture|ingredients|everything|sauce)\b[^.;]*\b(?:until|till)\b[^.;]*\b(?:thick\w*|hot|bubbl\w+)/i,
)
const IN_PAN_TILL_CHARRED = recalled(
  /\b(?:cook|fry|sear)\b[^.;]*\b(?:pan|skillet|tawa|wok)\b[^.;]*\bcharr(?:ed|y|ing)?\b/i,
)
const FROM_KETTLE = recalled(
  /\b(?:wilt|blanch|soften|scald|pour|cover)\b[^.;]*\b(?:kettle|boiling water|hot water)\b|\bpour\b[^.;]*\b(?:boiling|hot) water over\b/i,
)

/** "Sprinkle the spinach with salt, rub until wilted": salt and hands do it, and no heat. */
const WILTS_COLD = recalled(
  /^(?![^]*\b(?:pan|heat|hot|oil|butter|ghee|wok|skillet|min\w*|steam|boil\w*|fry|cook)\b)[^]*\b(?:rub|massage|scrunch|knead|squeeze|salt|sprinkle|stand|sit)\b[^.;]*\b(?:until|till) (?:[a-zß-öø-ɏ]+ ){0,3}wilt/i,
)

/** "Cook" and no word of how. */
export const isPlainCook = (text: string): boolean =>
  COOK.test(text) && !PRECOOKING_TABLE.fry.said.test(text) && !IN_FAT.test(text)

/**
 * The way of cooking that a stretch of a sentence names; null where it names none.
 *
 * @param hasFat whether a fat is among the lines of the part
 * @param fatNamed whether the stretch names one
 * @param isMeatOnly mince without a liquid, which browns in its own fat
 * @param drained what is cooked is drained behind it
 */
export function wayIn(
  text: string,
  hasFat: boolean,
  fatNamed: boolean,
  isMeatOnly = false,
  drained = false,
): PrecookingWay | null {
  // "Roast the veg in the oil at 220 °C" is done in the oven, whatever it is turned in.
  if (/\broast(?:ed|ing)?\b/i.test(text) && /\boven\b|\d{3} ?(?:°|[cf]\b|deg|fan\b)|\bat \d{3}\b/i.test(text))
    return 'roast'
  if (WILTS_COLD.test(text)) return null
  // "Wilt the spinach with a kettle of boiling water".
  if (FROM_KETTLE.test(text)) return 'simmer'
  // "Heat the milk with the stock cube, thicken".
  if (HEATS_LIQUID.test(text) || HEATS_FILLING.test(text)) return 'simmer'
  // The air fryer is a small oven.
  if (/\bair[- ]?fr(?:y|ied|yer)\b/i.test(text)) return 'roast'
  for (const way of PRECOOKING_WAYS) {
    if (!PRECOOKING_TABLE[way].said.test(text)) continue
    // "Roast on a low flame" is done in a dry pan; nothing of an oven is meant.
    if (
      way === 'roast' &&
      /\b(?:flame|pan|kadai|tawa|skillet|dry roast)\b/i.test(text) &&
      !/oven|\bchar/i.test(text)
    )
      return 'fry'
    // "Cook on a hot pan until charred".
    if (way === 'roast' && IN_PAN_TILL_CHARRED.test(text)) return 'fry'
    return way
  }
  if (/\bin(?:to)? (?:an? |the )(?:[a-zß-öø-ɏ]+ )?oven\b[^.;]*\d ?(?:min|h)/i.test(text)) return 'roast'
  if (IN_FAT.test(text)) return 'fry'
  if (!COOK.test(text)) return null
  if (fatNamed) return 'fry'
  // "Cook the potatoes until tender, drain": they were in water.
  if (drained) return 'simmer'
  // "Cook the apples in water till the water is gone": before it went they were in it.
  if (IN_LIQUID.test(text.replace(TILL, ''))) return 'simmer'
  // "Until no water shows" is the filling's own water on its way out, and no liquid to simmer in.
  const pot = text.replace(DRY, ' ')
  if (
    /\bin (?:an? |the )?(?:[a-zß-öø-ɏ]+ ){0,2}(?:skillet|(?:frying|dry|sauté|non-?stick) pan|wok|kadai|tawa)\b/i.test(
      pot,
    )
  )
    return 'fry'
  // Mince that is cooked and nothing poured on it browns in its own fat.
  return (hasFat || isMeatOnly) &&
    !/\b(?:saucepan|syrup|lid|thick|milk|stock|water|oven|slow cooker)\b/i.test(pot)
    ? 'fry'
    : 'simmer'
}
