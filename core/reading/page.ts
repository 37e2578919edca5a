import { nutritionIn } from './nutritionRow'
import { remember } from './remember'
import { STARTS_WITH_AMOUNT } from './rows'
import { sentencesOf } from './sentenceEnds'

// What a page or a packet puts round a recipe and what says nothing of how the dish is made.

const WHOLE_TIME = String.raw`(?:prep|cook|total|rest)(?: time)?\W*\d{1,3}`
/** Each is a whole row, but for marks at its ends. */
const NOISE = new RegExp(
  String.raw`^\W*(?:${[
    // "Prep 15 cook 20": times of the whole, without a unit.
    String.raw`${WHOLE_TIME}\W*${WHOLE_TIME}`,
    // "4.8 from 213 votes", "★★★★", "12 comments".
    String.raw`[\d.]+\s*(?:from|out of|\/\s*5)\s*[\d,]*\s*(?:votes?|reviews?|ratings?)?\b.{0,20}`,
    String.raw`[★☆\d./ ()]*(?:stars?|votes?|reviews?|ratings?|comments?)\b.{0,30}`,
    '[★☆]{2,}.*',
    // What visitors are asked to do.
    String.raw`did you (?:make|try)\b.*|(?:tag|follow) (?:us|me)\b.*|leave (?:a|us) (?:comment|rating).*`,
    String.raw`(?:(?:jump to|skip to|print|pin|save|share|rate|follow|subscribe|watch|comment|view)(?: (?:the |this |your )?(?:recipe|page|post|video|comments?|it|me|now|this|us))?[\s·|•/,-]*)+`,
    String.raw`(?:print|pin|save|share|rate|follow|watch|see|view|click|tap|skip|jump|get)\b[^.!?]{0,30}\b(?:recipe|videos?|page|post|blog|web ?site|newsletter|channel|comments?|link|photos?|list|story|cook mode|notifications?)(?:\b[^.!?]{0,30})?`,
    String.raw`(?:click|tap|watch|shop|buy|order|follow|read)(?: (?:it|us|more|the video))? (?:here|now|below)\b.{0,40}`,
    String.raw`share (?:on|via|with)\b.{0,40}|follow (?:along|for)\b.{0,40}|sign up\b.{0,60}|jump to\b.{0,30}|skip to\b.{0,30}`,
    String.raw`(?:advertisements?|sponsored|ad|photo|image|video)\b.{0,60}`,
    // "Ingredients continued", "Per 100 g: 250 kcal, 8 g protein".
    String.raw`(?:ingredients|method|recipe|list) cont(?:inued|['’]?d|\.)`,
    String.raw`per (?:100 ?g|serving|portion|piece)\s*:.*\b(?:kcal|k?cals?|calories|protein|carbs?|fat)\b.*`,
    String.raw`(?:read (?:more|also|next)|see also|more like this|up next)\b.{0,80}`,
    // What somebody in front of a camera says at the end.
    String.raw`(?:(?:please|and|also|so),? )*(?:do(?:n['’]t| not) forget to |remember to |make sure (?:to |you )|hit |smash |give (?:it|this|us) )(?:.{0,20}\b)?(?:subscribe|like|share|comment|bell|thumbs? up|follow)\b.{0,60}`,
    String.raw`(?:please )?(?:like|comment|subscribe)(?:(?:, | and | & |, and )(?:like|comment|share|subscribe|follow))*(?: (?:for more|to)\b.{0,50})?`,
    String.raw`if you (?:like|liked|enjoy|enjoyed|love|loved|try|tried|make|made) (?:this|it|these|my)\b.{0,40}\b(?:subscribe|like|share|comments?|tag|follow|know)\b.{0,60}`,
    String.raw`(?:thanks?|thank you)(?: so much| very much)? for (?:watching|reading|stopping by|visiting|following)\b.{0,40}|let me know\b.{0,60}|see you (?:next|in the|soon|all)\b.{0,40}|until next time\b.{0,30}`,
    String.raw`(?:enjoy|bon app[eé]tit|happy (?:cooking|baking|eating))(?:,? (?:everyone|everybody|all|friends|guys|folks|your meal|them|it))?`,
    // "Cuisine: …": how the page files it.
    '(?:difficulty|(?:skill )?level|cuisine|course|author|by|source|rating|calories?|category|categories|keywords?|tags?|diet|(?:first )?published(?: by| on)?|updated(?: by| on)?|(?:posted|shared|submitted|uploaded|written)(?: by| on)?|servings? size(?!\\s*:\\s*\\d{1,2} (?!g\\b|ml\\b|oz\\b|grams|cups?\\b))|yield type)\\s*:.*',
    '(?:vegan|vegetarian|gluten[- ]free|dairy[- ]free|nut[- ]free|keto|halal|kosher|healthy|family|freezer[- ]friendly|budget|quick|easy|medium|hard)',
    String.raw`(?:(?:us|uk|metric|imperial|cups?|grams?|ounces?|weight|volume)\b[\s|/·•&-]*(?:or )?)+`,
    // "#momos #veg": what it is filed under.
    String.raw`(?<=#)[a-zß-öø-ɏ\d_]+(?:[\s,]+#[a-zß-öø-ɏ\d_]+)*`,
    String.raw`us customary.*|metric.{0,20}|copyright.*|https?:\S*|www\.\S*`,
  ].join('|')})\W*$`,
  'i',
)
/** "By Anna Bell": who wrote it. */
const BYLINE = /^\W*(?:[Rr]ecipe )?[Bb]y \p{Lu}\p{L}*(?: \p{Lu}\p{L}+){0,2}\W*$/u
/** "From my grandmother's notebook", "adapted from a magazine": whose it is, below the title. */
export const saysWhose = (text: string): boolean =>
  /^[\W_]*(?:from|by|via|courtesy of|adapted from|based on|inspired by|recipe (?:from|by|courtesy)|credit(?: to)?:?|source:?|as (?:taught|made|told) by)\s+(?:[a-zß-öø-ɏ][a-zß-öø-ɏ'.&-]*,?\s*){1,8}\W*$/i.test(
    text,
  )
const MONTH =
  '(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)'
/** "12 March 2024", "Posted on Mar 3, 2024", "03/12/2024": when it was written. */
const DATE = new RegExp(
  String.raw`^\W*(?:(?:first )?(?:posted|published|updated|written|dated?|on)(?: on)?:?\s+)?(?:(?:mon|tues|wednes|thurs|fri|satur|sun)day,?\s+)?(?:\d{1,2}(?:st|nd|rd|th)?\.?\s+(?:of )?${MONTH}\.?(?:,?\s+\d{4})|${MONTH}\.?\s+\d{1,2}(?:st|nd|rd|th)?,?\s+\d{4}|\d{1,2}[./-]\d{1,2}[./-](?:19|20)\d{2}|(?:19|20)\d{2}-\d{2}-\d{2})\W*$`,
  'i',
)
const VOTES = /\b(?:votes?|reviews?|ratings?|comments?)\b/i

const isNoise = (sentences: readonly string[]): boolean =>
  sentences.length > 0 && sentences.every((one) => NOISE.test(one))

/**
 * Whether a row says nothing of the dish: adverts, links, stars (`noise`), or figures of a serving (`nutrition`).
 * A `line` of nutrients may also be an ingredient ("protein 30 g", "salt 5 g"); a `start` is none.
 */
export const saysNothing = remember((text: string) => ({
  noise:
    BYLINE.test(text) ||
    DATE.test(text) ||
    (isNoise(sentencesOf(text)) && (!STARTS_WITH_AMOUNT.test(text) || VOTES.test(text))),
  nutrition: nutritionIn(text),
}))

/** "Can I freeze them?": what a page asks and answers below a recipe. */
export const isQuestion = (text: string): boolean =>
  /^\W*(?:q\s*[:.]\s*)?(?:can|could|do|does|how|what|why|should|is|are|will|when|where|which|must|have|my)\b[^.!]{6,100}\?\W*$/i.test(
    text,
  )

const KEEPING =
  /^\W*(?:suitable for|can be (?:frozen|made ahead|kept)|freezes? well|(?:they )?(?:will )?(?:keeps?|lasts?|stays? fresh) (?:for|well|up to|about|frozen|in (?:the|a)|an?|\d)|best (?:served|eaten)|not suitable|takes (?:about |around |roughly )?(?:an?|\d+|one|two|half)\b)/i

/** What is said of keeping it, or of how long it takes, is no ingredient and no step. */
export const isAboutKeeping = (text: string): boolean => KEEPING.test(text)

const BOAST =
  /^([a-zß-öø-ɏ][^:\d]{3,60}?)[\s,;:(–-]+(?:(?:only|just|with)\s+)?(?:(?:per|each) [a-zß-öø-ɏ]+\s*:?\s*)?\d{1,3}\s*(?:g|grams?)\s*(?:of )?(?:protein|fibre|fiber|net carbs|carbs)\b(?:[\s,;(]*(?:each|apiece|(?:per|a|in (?:a|each|every)) [a-zß-öø-ɏ]+))?\W*$/i

/** "Cheese buns, per bun: 18 g protein": the dish that is boasted of, or null. */
export const boastOf = (text: string): string | null => BOAST.exec(text)?.[1]?.trim() ?? null
