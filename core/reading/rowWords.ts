// Rows that are work though they begin like a line: by what hands do with each piece, with the oil, with a half.

/** "Balls of about 40 g, flatten, fill". */
export const BALLS_OF = /^(?:balls|pieces|rounds|portions) of (?:about |around |roughly )?[\d¼½¾⅓⅔]/i
/** "Boiled 3 min.": told of what was done. */
export const WAS_COOKED =
  /^(?:boiled|baked|fried|steamed|simmered|griddled)\s[^,]{0,40}?\d[\d\s/–-]*(?:\+ )?(?:m\b|min|h\b|hours?|hrs?|sec|°|c\b|f\b|deg)/i
/** "Kneading: everything together till soft": the label says that it is work. */
export const WORK_LABEL =
  /^(?:dough|pizza dough|knead(?:ing)?) (?:cycle|programme|program|setting)\W*$|^(?:kneading|mixing|rolling(?: out)?|shaping|forming|folding|assembling|assembly|frying|steaming|boiling|griddling|resting|proving|proofing)\s*:\s*[a-zß-öø-ɏ]/i
/** "Each sheet in 2": what is done with every one of them. */
export const EACH_ONE = /^each (?:sheet|piece|ball|round|dis[ck]|half|one|portion|square|wrapper|strip)\b/i

/** "Oil – for shallow frying (about 1 tsp each)" is bought, whatever is done with it. */
export const FAT_FOR_PAN =
  /^\W*(?:[a-zß-öø-ɏ]+ ){0,2}(?:oil|ghee|butter|lard)\s*(?:[-–—:,]\s*)?(?:for|to) (?:the )?(?:deep|shallow|pan)?[- ]?(?:fr|cook|griddl|roast)/i
/** "Couple tablespoons of filling, fold, fork". */
export const SPOONS_OF_FILLING =
  /^\W*(?:a )?(?:couple|few) (?:of )?(?:tablespoons?|teaspoons?|spoons?|spoonfuls?|tbsps?|tsps?) (?:of )?(?:the )?(?:filling|stuffing)\b/i

/** "Dip 2 sheets at a time in water". */
export const DIPS =
  /^\W*dip (?:\d|one|two|each|every|the|a)\b[^,.]{0,16}\b(?:sheets?|wrappers?|papers?|rounds?|pieces?)\b/i
/** "Pinch 4 corners and sides". */
export const PINCHES =
  /^\W*pinch (?:the |all |both )?(?:\d |four |two )?(?:corners|edges|sides|seams?|ends)\b/i
/** "Half to line a tray": what becomes of half of the dough. */
export const HALF_GOES = /^\W*half (?:of (?:it|the (?:dough|pastry)) )?(?:to line|goes|on|in|into|rolled)\b/i
/** "3/4 pastry for bases": how the dough is shared. */
export const SHARE_OF_DOUGH =
  /^\W*(?:[123]\/[234]|[½¼¾⅓⅔]|half|two[- ]thirds|three[- ]quarters|a (?:third|quarter)) (?:(?:of )?(?:the )?(?:dough|pastry)\b(?! (?:sheets?|cases?|flour))|for (?:the )?(?:lids?|bases?|tops?|bottoms?)\b)/i
/** "Half of the prawns chopped, half smashed": what is done with what is listed. */
export const BOTH_HALVES =
  /^\W*half (?:of )?(?:the |your )[^,.;]{3,40}[,;]\s*(?:and )?(?:the )?(?:other )?half\b/i
/** "1 heaped tbsp each", "about 18 g in each wrapper, pleat". */
export const SPOON_EACH =
  /^\W*\d{1,2} [a-zß-öø-ɏ]+(?: (?:\+|and|&) (?:\d{1,2} |an? |some )?[a-zß-öø-ɏ]+){1,2} (?:in|on|per) (?:each|every)\W*$|^\W*(?:about )?(?:\d|[¼½¾]|an? )[\d./ -]*(?:(?:heaped|heaping|level|small|large|good) )?(?:(?:tbsp|tsp|tablespoons?|teaspoons?|spoons?) (?:in |on |for )?each\W*$|(?:g|grams?|tbsp|tsp|T|tablespoons?|teaspoons?|spoons?|spoonfuls?) (?:(?:of )?filling )?(?:in|into|on|onto|per) (?:each|every|a|one)\b(?! (?:pan|pot|bowl)))/i

/** "Wrap (about 1 tbsp each)". */
export const WRAPS_EACH =
  /^\W*(?:wrap|fill|stuff|fold|pleat|shape|roll) \((?:about )?\d[^()]*\b(?:each|per [a-zß-öø-ɏ]+)\)/i

/** "Rough puff - rub butter into the flour"; "water - to knead" is poured. */
export const DASHED_WORK = /^[^:\d]{3,30}?\s[-–—]\s+((?!to\b)\S+(?: \S+){3,})$/

/** What is done with pieces in sugar or crumbs. */
export const ROLLED_IN = 'roll|toss|coat|dust|dip|dredg|sprinkl'
