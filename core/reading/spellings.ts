import { withPlainHalves } from './amountsSpelt'
import { ONES } from './readNumber'
import { remember } from './remember'
import { capital } from './talk'

// Characters and spellings that say the same are made one before anything is read.

/** "A teaspoon and a half of yeast" is one and a half teaspoons. */
const AND_A_HALF =
  /\b(an?|one|two|three|four|\d) (cups?|teaspoons?|tablespoons?|tsp|tbsp|kilos?|litres?|liters?|pints?|ounces?|pounds?|handfuls?|sticks?) and an? (half|quarter)\b/gi

/** "A red pepper teaspoon of paprika", as it is said in one breath: the spoon begins what comes next. */
const SPOON_IN_SPEECH = new RegExp(
  String.raw`(?=(?:teaspoon|tablespoon|pinch|handful|splash|knob) of [a-zß-öø-ɏ])(?<=^[^,;:.()]*[a-zß-öø-ɏ]{3} )(?<!\b(?:one|two|three|four|half|third|quarter|fourth|eighth|each|every|per|another|extra|the|this|that|last|spare|first|heap\w+|level|scant|rounded|generous|good|full|big|bare|small|little|large|tiny|mean|soup|table|tea|dessert|coffee|wooden|measuring|decent|hefty|healthy|couple|few|single|whole|more|about|roughly|around|nearly|almost|with|in|into|add|plus|for|use|or|up to|by|than|maybe|just|only|mug|your|my|additional|further|final|remaining|overflowing|packed|loose|loosely|tightly|piled|mounded|slightly|very|of|to) )`,
  'gi',
)

/** "Pastry: your favourite (I use 350 g flour, 200 g butter)": what is in it stands in the bracket. */
const MINE_IN_BRACKETS =
  /^(\W*(?:[a-zß-öø-ɏ]+ ){0,3}?(?:pastry|dough|crust|shortcrust|wrappers|skins))\b\W*([^()\d]{0,60}?)\s*\((?:(?:i|we) (?:always |usually )?(?:use|take|do|make(?: it| mine| them)?(?: with| from| of)?)|mine(?:['’]s| is)?(?: with| of)?|made (?:with|from|of)|here(?:['’]s| is) mine):? ([^()]*\d[^()]*(?:,|\band\b)[^()]*\d[^()]*)\)\W*$/i

/** "5 hard-boiled eggs, half for each": how they are shared out, and no more of them. */
const SHARE = String.raw`(?:an?|one|half(?: of one| an? [a-zß-öø-ɏ]+)?|a (?:half|quarter|third)|two|three|\d{1,2}(?: ?g)?|[½¼])(?: (?:piece|slice|half))?`
const PIECE = '(?:one|piece|bun|pie|parcel|dumpling|pasty|pocket|roll|empanada|person)'
const sharedBehind = (start: string, each: string) =>
  new RegExp(
    String.raw`(?<=${start}(?:\d[\d./]*|[½¼¾]|an?|one|two|three|four|five|six|eight|ten|twelve)\s?[^,;()\d]{3,60}(?:\(not \d+\))?),\s*(${SHARE} (?:${each}))(?=\s*(?:$|[,.;]))`,
    'i',
  )
const FOR_EACH = String.raw`(?:for|in|on|to|inside) (?:each|every)(?: ${PIECE})?|per ${PIECE}`
const SHARED_OUT = sharedBehind(String.raw`^\W*`, String.raw`${FOR_EACH}|each|apiece`)
const SHARED_IN_ROW = sharedBehind(String.raw`[,:]\s+`, FOR_EACH)

const HUNDREDS = ['', 'one', 'two', 'three', 'four']
const TENS = ['', 'ten', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety']
const SPOKEN_HEAT = new RegExp(
  String.raw`\b(${HUNDREDS.slice(1).join('|')}) (${TENS.slice(2).join('|')})(?:[ -](five))?(?= (?:for|degrees?|fan|celsius|centigrade|fahrenheit|until|till)\b)`,
  'gi',
)
const SPELT_AND_FIGURE =
  /(^|[\s(])(one|two|three|four|five|six) (?:(?:and )?(?=(?:[1-3][/⁄][2-8]|[¼½¾⅓⅔])\s?(?:cups?|c\b|tbsp|tsp|tablespoons?|teaspoons?|pounds?|lbs?|T\b|t\b))|(?=[Tt]\.? [a-z]))/gi
const PICTURES = /\p{Extended_Pictographic}|\p{Regional_Indicator}|\ufe0f|\u200d|\u20e3/gu
const KEPT_PICTURES = /[©®™↔↕#*\d]/u

/** "250 gms", "250 gm.", "250 grams": one unit. */
const GRAMS =
  /([\d¼½¾⅓⅔⅛])\s*(?:(?:g|gms?|grms?|grams?|grammes?)\.(?=\s+[\p{Ll}(]|\s*[,)|]|\s*$)|(?:gms?|grs?|grms?|grams?|grammes?)\b)/gu
/** "250 g. Plain flour": at the head of a line the dot ends the unit and no sentence. */
const GRAMS_AT_HEAD = /^(\W*\d+(?:[.,]\d+)? g)\.(?=\s+\p{Lu})/u
/** "2 – 3" is a range; "180 – 25 minutes" says two things. */
const DASHED = /(\d+)(\s*[–—]\s*)(\d+)/g
/** "3 to 3 1/2 cups". */
const MIXED_RANGE = /(?<![\d./] ?)(\d{1,2}) to (\d{1,2} ?(?:\d\/\d|[¼½¾⅓⅔]))(?= ?\p{L})/gu
/** Whole numbers on both sides: "1 to 1 1/2" and "from 200 to 220" are left. */
const TO_RANGE = /(?<![\d./]|from )(?<!\d )(\d{1,3}) to (\d{1,3})(?![\d./¼½¾⅓⅔%]| \d\/)/gi
/** "180 degrees Celsius", "350 deg. fahrenheit". */
const DEGREES = /(\d{2,3})\s*(?:°|degrees?|deg\.?)?\s*(celsius|centigrade|fahrenheit)\b/gi

/**
 * Words that hurried hands misspell, with what is meant. The larder corrects names of foods as well; amounts, times
 * and the words that a line is split at have to be read before. Common practice, no source.
 */
const MISSPELT: Readonly<Record<string, string>> = {
  minutes: 'minuets minuts mintues minites minuites munites mintutes minues',
  minute: 'minuet mintue minuite miniute',
  hours: 'huors houres horus',
  hour: 'huor houre',
  degrees: 'degress degreees degres digrees',
  tablespoon: 'tablesoon tablspoon tabelspoon tablepoon tablespon tablesppon',
  tablespoons: 'tablesoons tablspoons tabelspoons tablepoons tablespons',
  teaspoon: 'teaspon teapoon teaspooon teasoon teasppon',
  teaspoons: 'teaspons teapoons teaspooons teasoons',
  powder: 'pd pwd pwdr pdr powdr podwer pwder',
  filling: 'fillling fillng filing',
  dough: 'dought dogh',
  pastry: 'pastery pastrey pasrty',
  flour: 'fluor flouer flur',
  yeast: 'yest yeats yeest',
  sugar: 'suger sugur suggar',
  butter: 'buttter buter buttr',
  pepper: 'peper peppar',
  peppers: 'pepers peppars',
  onion: 'onoin onon oinion onoion',
  onions: 'onoins onons oinions onoions',
  garlic: 'garlick galic garilc',
  coriander: 'corriander corrainder coriandor',
  cinnamon: 'cinammon cinamon cinnamin',
  cheese: 'chesse cheeze cheesse chz chse',
  chicken: 'chiken chickin chikcen',
  potatoes: 'potatos pototoes poatoes',
  tomatoes: 'tomatos tomotoes tamatoes',
  carrots: 'carrotts carots carrets',
  carrot: 'carrott carot',
  cabbage: 'cabage cabbige',
  mozzarella: 'mozarella mozzerella mozzarela mozerella',
  turmeric: 'tumeric turmeic',
  vegetable: 'vegatable vegtable vegitable',
  vegetables: 'vegatables vegtables vegitables',
}
const MEANT = new Map(
  Object.entries(MISSPELT).flatMap(([meant, wrong]) =>
    wrong.split(' ').map((word) => [word, meant] as const),
  ),
)
const WRONG = new RegExp(String.raw`\b(?:${[...MEANT.keys()].join('|')})\b`, 'gi')
/** "2 cups plain flower"; orange flower water is none. */
const FLOWER =
  /(?<=\b(?:plain|corn|strong|white|wheat|bread|cups?|g|of|raising|purpose) )flower\b(?! water)/gi
const SELF_RAISING = /\bself[- ](?:rasing|raisng|raiseing|risen)\b/gi

/** As `word` is written: "Fluor" is "Flour", "PEPER" is "PEPPER". */
const inItsCase = (meant: string, word: string): string =>
  word === word.toUpperCase() ? meant.toUpperCase() : /^\p{Lu}/u.test(word) ? capital(meant) : meant

/** "So, um, two cups": a breath that was written down. The words of a sentence say that it is no other language's. */
const HEM =
  /(\s*,)?\s*(?<![a-zß-öø-ɏ\d])(?:um+|uh+|uhm|erm+|er|hmm+)(?![a-zß-öø-ɏ\d'’-])(?:\s*(,|\.{2,}|…))?\s*/gi
const IS_ENGLISH = /\b(?:the|and|you|we|of|it)\b/i
const withoutHems = (line: string): string =>
  IS_ENGLISH.test(line)
    ? line
        .replace(HEM, (_, before?: string, behind?: string) => (before || behind === ',' ? ', ' : ' '))
        .trim()
    : line

/** A line with characters that look alike made one, without what cannot be seen, in the usual spellings. */
export const plainSpelling: (line: string) => string = remember(spelled)

function spelled(line: string): string {
  return (
    withPlainHalves(withoutHems(line))
      .replace(/[\u00a0\u2000-\u200a\u202f\u3000]/g, ' ')
      .replace(/[\u200b-\u200f\u2060\ufeff]/g, '')
      // "1⁄2 cup", "2  eggs".
      .replace(/\u2044/g, '/')
      .replace(/(?<=\S) {2}(?=\S)/g, ' ')
      // "1 Tbsp", "2 tbs.": the spoons have one spelling.
      .replace(/\bT(?=b?sp\b)/g, 't')
      .replace(/(?<=[\d½¼¾⅓⅔a] ?)[Tt]bs\b\.?/g, 'tbsp')
      .replace(/[’‘ʼ`´]/g, "'")
      .replace(/[“”″„]/g, '"')
      .replace(/[‐‑‒−]/g, '-')
      .replace(
        AND_A_HALF,
        (_, count: string, unit: string, part: string) =>
          `${/^an?$/i.test(count) ? 'one' : count} and a ${part} ${unit}`,
      )
      // "Two 1/2 cups", "one T. oil": a number that is heard and then typed.
      .replace(
        SPELT_AND_FIGURE,
        (_, before: string, count: string) => `${before}${ONES[count.toLowerCase()]} `,
      )
      // "Atta—1.5 cup": a stroke that stands close.
      .replace(/(?<=[\p{L})])—(?=[\p{L}\d¼½¾⅓⅔])/gu, ' – ')
      // "Salt,pepper", "ricotta:150g", "chana dal(3/4 cup)": marks without their blanks.
      .replace(
        /(?<=[\p{L})])[,;](?=\p{L}{2})|(?<=\p{L}{3}):(?=[\d½¼¾⅓⅔])|(?<=\p{Ll}{2})(?=\([\d½¼¾⅓⅔])/gu,
        (mark) => `${mark} `,
      )
      // "Maybe about 18".
      .replace(/\b(?:maybe|perhaps|probably|like|say) (?=(?:about|around|roughly) \d)/gi, '')
      .replace(/\bspringwater\b/gi, 'spring water')
      .replace(/\bw\/o\b/gi, 'without')
      .replace(
        /\bw(?:\/|\.)\s?(?=[a-zß-öø-ɏ½¼¾⅓⅔]|\d{1,3}[ g/])|(?<=[a-zß-öø-ɏ] )w (?=[a-zß-öø-ɏ½¼¾⅓⅔]|\d{1,3}[ g/])/gi,
        'with ',
      )
      .replace(/\bv\.?\s+(?=(?:finely|thinly|roughly|coarsely|small|large|ripe|fine|cold|hot)\b)/gi, 'very ')
      .replace(WRONG, (word) => inItsCase(MEANT.get(word.toLowerCase())!, word))
      .replace(FLOWER, 'flour')
      // "300 g 00 + 3 eggs": what bakers call by its number.
      .replace(
        /(\d ?(?:k?g|grams?) (?:of )?)(?:tipo |type )?00(?=\s*(?:[,+&;.)]|$|and\b|with\b))/gi,
        (_, amount: string) => `${amount}00 flour`,
      )
      .replace(MIXED_RANGE, '$1-$2')
      // "Tom puree", "toms".
      .replace(/\btom(?=\.? ?(?:pur[ée]e|paste|sauce|ketchup)\b)\.?/gi, (word) => inItsCase('tomato', word))
      .replace(/\btoms\b(?=\W*(?:$|[,.;(]|chopped|diced|sliced|and|&))/g, 'tomatoes')
      .replace(SELF_RAISING, 'self-raising')
      .replace(/º/g, '°')
      // "2 – 3", "18 to 20": a range.
      .replace(DASHED, (all, low: string, dash: string, high: string) =>
        dash.trim() === dash || Number(low) < Number(high) ? `${low}-${high}` : all,
      )
      .replace(TO_RANGE, (all, low: string, high: string) =>
        Number(low) < Number(high) ? `${low}-${high}` : all,
      )
      .replace(DEGREES, (_, value: string, scale: string) => `${value} °${/^f/i.test(scale) ? 'F' : 'C'}`)
      .replace(GRAMS, '$1 g')
      .replace(GRAMS_AT_HEAD, '$1')
      // "A 20-minute simmer".
      .replace(/(\d)-(min(?:ute)?s?|hours?|hrs?)\b/gi, '$1 $2')
      // No word ends behind an accent as patterns see it.
      .replace(/(saut)é/gi, '$1e')
      .replace(
        /\b(\d[\d./]*\s?-?\s?)(oz|lbs?|ml|pt|qt)\.(?!\s+(?:rest|knead|chill|prove|proof|leave|divide)\b)(?=\s+\p{Ll}|\s*[,)])/gu,
        '$1$2',
      )
      .replace(/\bpkgs?\b\.?/gi, 'packet')
      // "Servings - 8 buns".
      .replace(/^(\W*(?:servings?|serves|makes|yields?))\s+[-–—=]\s+(?=\d)/i, '$1: ')
      .replace(/\bea\b\.?(?=\s|$|[),;])/g, 'each')
      // "G.g. paste": no sentence ends there.
      .replace(/\bg ?\. ?g ?\. ?(?=p(?:aste)?\b)/gi, 'gg ')
      .replace(/\bsqs\b/gi, 'squares')
      // "Boil n mash".
      .replace(
        /\b(boil(?:ed)?|peel(?:ed)?|wash(?:ed)?|soak(?:ed)?|cook(?:ed)?|chop(?:ped)?) n (?=mash|peel|chop|dice|slice|grate|drain|crush|squeez)/gi,
        '$1 and ',
      )
      .replace(/\b(a)bt\b\.?(?=\s*\d)/gi, '$1bout')
      .replace(
        /\bgr(?:n?d)?\.\s+(?=beef|pork|turkey|chicken|lamb|meat|veal|chuck|cumin|cinnamon|ginger|pepper)/gi,
        'ground ',
      )
      .replace(/\bS\.\s?R\.?(?=\s?flour)/gi, 'self-raising')
      .replace(/\bA\.\s?P\.?(?=\s?flour)/gi, 'all-purpose')
      .replace(/\bair(fr(?:y|yer|ied|ying))\b/gi, 'air $1')
      .replace(/\bAF(?=\s*(?:(?:at|on|@)\s?)?\d{3})/g, 'air fryer')
      // "A kilo of mince, we do half pork half beef": of what it is.
      .replace(
        /\b(mince(?:d meat)?|ground meat|meat)(?:,\s+|\s+)(?:(?:i|we) (?:do|use|take|like|mix|buy|have) |which is )?(half [a-zß-öø-ɏ]+(?:,? and |,? |\/)half [a-zß-öø-ɏ]+)\b(?!\))/gi,
        '$1 ($2)',
      )
      // "1 cube yeast -- half is enough": two strokes are one.
      .replace(/(?<=\S) -- (?=\S)/g, ' – ')
      // "Bake at two twenty for fifteen minutes": an oven's heat, as it is spoken.
      .replace(SPOKEN_HEAT, (_, hundreds: string, tens: string, five: string | undefined) =>
        String(
          100 * HUNDREDS.indexOf(hundreds.toLowerCase()) +
            10 * TENS.indexOf(tens.toLowerCase()) +
            (five ? 5 : 0),
        ),
      )
      // "Onions - 3 nos. (medium)": the dot ends a short word and no sentence.
      .replace(
        /(\d ?)(?:(nos?|pcs?)|nums?)\.(?:s\b)?(?=\s*(?:$|[,;(–-]|[\p{Ll}]))/gu,
        (_, number: string, word?: string) => `${number}${word ?? 'nos'}`,
      )
      .replace(
        MINE_IN_BRACKETS,
        (_, part: string, said: string, list: string) => `${part}${said ? ` (${said})` : ''}: ${list}`,
      )
      // "5 eggs... make it 10": what is meant.
      .replace(
        /(?<=^\W*|,\s*)(\d{1,3})((?: ?(?:g|ml|kg))? [^,;.()\d]{3,40}?)\s*(?:\.{2,}|…|,| -| –)\s*(?:no,? )?(?:make|call) (?:it|that) (\d{1,3})(?: ?(?:g|ml|kg))?(?=\s*(?:$|[,.;]))/gi,
        '$3$2 (not $1)',
      )
      .replace(SHARED_OUT, ' ($1)')
      .replace(SHARED_IN_ROW, ' ($1)')
      .replace(SPOON_IN_SPEECH, 'a ')
      // "Salt q.b.": as much as is enough.
      .replace(/\bq\. ?b\.(?=\s*(?:$|[,;)]))/gi, 'to taste')
      .replace(/&amp;/g, '&')
      .replace(/&nbsp;/g, ' ')
      // "Ingredients 1x 2x 3x": buttons of a page.
      .replace(/(?:(?:^|\s+)\d{1,2}\s?[x×](?![a-zß-öø-ɏ\d])(?!\s*\d+\s*(?:g|ml|cm)))+\s*$/i, (all) =>
        all.match(/[x×]/gi)!.length > 1 ? '' : all,
      )
      .replace(/<\/?[a-z][^<>]{0,80}>/gi, ' ')
      // "1️⃣ Mix the dough": a number on a key counts.
      .replace(/(?<=^\s*(?:[-•*] )?\d{1,2})\ufe0f?\u20e3(?=\s*\p{L})/u, '. ')
      .replace(PICTURES, (one) => (KEPT_PICTURES.test(one) ? one : ' '))
  )
}
