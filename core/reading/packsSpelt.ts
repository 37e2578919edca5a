import { UNIT, type AmountWording } from './amountWords'
import { NUMBER_PATTERN, ONES } from './readNumber'

// Packs, tins and boxes as cooks write them: what one holds stands in front of it, or in brackets behind.

/** What comes in tins of some 400 g, and in nothing else that is told so. Common practice, no source. */
const TIN_GRAMS = '39\\d|4[0-2]\\d'
const TINNED = String.raw`(?:(?:chopped|plum|cherry|crushed|black|kidney|red|white|cannellini|butter|haricot|borlotti|pinto|mixed|green|brown|baked|light|full[- ]fat) )*(?:chick ?peas|garbanzos?|beans|tomatoes|lentils|coconut milk)(?![a-zß-öø-ɏ])`

/** What a pack holds. */
const HOLDS = String.raw`(?:about |around |roughly |approx\.? |~)?(?:${NUMBER_PATTERN}) ?(?:${UNIT}|sheets?|pieces?|rounds?|dis[ck]s?|wrappers?|circles?)`

/** Wordings of packs, in the order in which they are brought to one form. */
export const PACK_WORDINGS: readonly AmountWording[] = [
  {
    like: 'a pack of 8 frankfurters',
    becomes: '8 frankfurters',
    pattern:
      /^(?:(?:an?|one|1) )?(?:pack|packet|package|box|bag) of (\d{1,2}) (?=[a-zß-öø-ɏ]{3})(?!(?:oz|ml|kg|lbs?|grams?|ounces?)\b)(?!.*\b(?:wrappers?|sheets?|skins?|dis[ck]s?|rounds?|leaves|pattis?)\b)/gi,
    to: (_, many) => `${many} `,
  },
  {
    like: 'block of shortcrust 500',
    becomes: 'block of shortcrust (500 g)',
    pattern:
      /^((?:an? )?(?:block|pack|packet|pkt|roll) (?:of )?(?:[a-zß-öø-ɏ-]+ ){0,2}?(?:pastry|shortcrust|puff|filo|phyllo)) (\d{3})$/gi,
    to: (_, pack, grams) => `${pack} (${grams} g)`,
  },
  {
    like: 'chives, big bunch',
    becomes: 'a big bunch chives',
    pattern:
      /^([a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}?)(?:,|\s[–—-])\s*(?:an? )?((?:(?:big|large|small|good|generous|decent|nice|fat) )*)(bunch|handful|bag|head|punnet|packet)$/gi,
    to: (_, name, size, what) => `a ${size}${what} ${name}`,
  },
  {
    like: '2 x 400 g chickpeas',
    becomes: '2 x 400 g tins chickpeas',
    pattern: new RegExp(String.raw`^(\d) ?[x×] ?(${TIN_GRAMS}) ?g (?=${TINNED})`, 'gi'),
    to: (_, many, grams) => `${many} x ${grams} g tins `,
  },
  {
    like: 'chopped tomatoes 2 x 400g',
    becomes: '2 x 400 g tins chopped tomatoes',
    pattern: new RegExp(String.raw`^(${TINNED}),? (\d) ?[x×] ?(${TIN_GRAMS}) ?g(?: (?:tins?|cans?))?$`, 'gi'),
    to: (_, name, many, grams) => `${many} x ${grams} g tins ${name}`,
  },
  {
    like: '1 can 14 oz coconut milk',
    becomes: '1 (14 oz) can coconut milk',
    pattern:
      /^(\d{1,2}|an?|one|two|three) (cans?|tins?|jars?|packs?|packets?|pots?|tubs?|bottles?|cartons?)(?: of)?,? (\d{1,4} ?(?:g|oz|ml)) (?=[a-zß-öø-ɏ]{3})/gi,
    to: (_, many, what, size) => `${many} (${size}) ${what} `,
  },
  {
    like: "a pack of pastry, that's 375 g",
    becomes: 'a pack of pastry (375 g)',
    pattern: new RegExp(
      String.raw`,?\s+(?:so |and )?(?:that(?:['’]s| is)|which is|so)\s+(${HOLDS}(?:,\s+${HOLDS})?)(?=\W*$)`,
      'gi',
    ),
    to: (_, holds) => ` (${holds})`,
  },
  {
    like: 'a pack of pastry, 2 sheets, 375 g',
    becomes: 'a pack of pastry (2 sheets, 375 g)',
    pattern: new RegExp(
      String.raw`(?<=^(?:\d|an?|one|two) (?:packs?|packets?|packages?|boxe?s?|rolls?) (?:of )?[a-zß-öø-ɏ -]{3,30}),\s+(${HOLDS},\s+${HOLDS})(?=\W*$)`,
      'gi',
    ),
    to: (_, holds) => ` (${holds})`,
  },
  {
    like: 'filo pastry (1 pack, 270 g)',
    becomes: '1 pack of filo pastry (270 g)',
    pattern: new RegExp(
      String.raw`^(?!\W*\d)([a-zß-öø-ɏ][a-zß-öø-ɏ -]{2,40}?)\s*\(((?:\d|an?|one|two) (?:packs?|packets?|packages?|boxe?s?|bags?|rolls?|blocks?)),? (?:of )?((?:about |around |roughly |approx\.? |~)?(?:${NUMBER_PATTERN})(?: ?(?:g|oz))?)(?: (?:pcs|pieces|of them))?\)(?=\W*$)`,
      'gi',
    ),
    // "(1 packet, 50)" counts what is in it.
    to: (_, name, packs, holds) => {
      const pieces = /^\D*(\d+)$/.exec(holds!)?.[1]
      const many = Number(/^\d/.exec(packs!)?.[0] ?? (/^two/i.test(packs!) ? 2 : 1))
      return pieces ? `${many * Number(pieces)} ${name} (${packs})` : `${packs} of ${name} (${holds})`
    },
  },
  {
    like: '1 pie crust (2 crusts)',
    becomes: '2 pie crusts',
    pattern:
      /^(?:1|an?|one)\s+(?!(?:[a-zß-öø-ɏ-]+ )*(?:packs?|packets?|packages?|pkg|box|tubs?)\b)((?:[a-zß-öø-ɏ-]+ )*([a-zß-öø-ɏ]{4,}))\s*\((\d{1,2}) \2s\)/gi,
    to: (_, name, __, many) => `${many} ${name}s`,
  },
  {
    like: 'a fifteen ounce tin of beans',
    becomes: 'a 15 ounce tin of beans',
    pattern: new RegExp(
      String.raw`(?<=^(?:an?|one|two|three|four|\d) )(${Object.keys(ONES).join('|')})[- ](?=(?:ounce|oz|pound|lb)s?\b)`,
      'gi',
    ),
    to: (_, ounces) => `${ONES[ounces!.toLowerCase()]!} `,
  },
  {
    like: '1/2 a tin of beans',
    becomes: '1/2 tin of beans',
    pattern: /^(\d\/\d|[¼½¾⅓⅔]) (?:of )?an? (?=[a-zß-öø-ɏ])/gi,
    to: (_, part) => `${part} `,
  },
  {
    like: 'box of 6 eggs',
    becomes: '6 eggs',
    pattern:
      /^(?:an? |one |1 )?(?:box|carton|tray|pack) of (\d{1,2}|six|ten|twelve) (?=(?:[a-zß-öø-ɏ]+ )?eggs\b)/gi,
    to: (_, many) => `${many} `,
  },
]
