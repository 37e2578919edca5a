import { forAllMatches, recalled } from './matches'
import { remember } from './remember'

// What fills and closes a piece: every way that a text says it, by what the hands take hold of. Numbers are digits by
// then: "one" is 1.

/** What is closed, where it is not named by what it is. */
const THEM =
  '(?:them(?: all)?|it|these|this|all(?: of them)?|each(?: (?:one|1|piece|round|circle|parcel))?|every (?:one|1))'
const EDGES =
  '(?:(?:the|its|their|all|both|two|2|opposite|outer|top|long|short|open|of|dough|pastry) ){0,3}(?:edges?|rims?|sides?|seams?|joins?|corners?|ends?|borders?|tops?)'
/** Where the hands press: "firmly round", "down along". */
const HOW = '(?:(?:[a-zß-öø-ɏ]+ly|well|hard|down|round|around|along|all|together|on|tight) ){0,3}'
/** One half of the dough, which goes over what lies on the other. */
const FLAP =
  '(?:(?:the|its|one|1|other|empty|bare|free|top|second|unfilled) ){1,3}(?:half|halves|side|flap|end|part|edge|dough|pastry|wrapper)'
/** The dough that goes round the filling. */
const DOUGH = `(?:(?:the |its )?(?:dough|pastry|wrapper|skin|edges|sides)|${THEM})`
const SPOON = '(?:tsps?|tbsps?|teaspoons?|tablespoons?|spoons?|spoonfuls?)'
const A_ROUND =
  '(?:rounds?|circles?|dis[ck]s?|ones?|1|half|piece|sheet|layer|square|rectangle|wrapper|tortilla)'

/** The ways of filling and closing, each a pattern. Words in front of a colon say what the hands do. */
const WAYS: readonly string[] = [
  // Filled: "fill", "stuff the balls", "1 tsp filling in each", "spoon it into the centre".
  String.raw`(?:fill|(?<!\b(?:filling|the|dry|wet|other|this|that|same|dough|green|of) )stuff)(?: (?:and|each|them|with|the (?:rounds|dis[ck]s|circles|dough|wrappers|balls|cones)))?(?=[\s,.]|$)(?! (?:is|should|must|mixture|ingredients)\b)`,
  String.raw`(?:(?:\d[\d./ -]*|an? )(?:(?:heaped|level|scant|big|small|generous) )?(?:${SPOON}|g|oz) (?:of )?(?:the )?)?filling in (?:the )?(?:centre|center|middle)`,
  String.raw`(?<![\d./¼½¾-])(?:[\d¼½¾][\d./ ¼½¾–-]*|an? |half an? |one |two |three )(?:(?:heaped|heaping|level|scant|big|small|generous) )?(?:tsps?|tbsps?|t|teaspoons?|tablespoons?|dessertspoons?|spoons?|spoonfuls?|g) (?:of )?(?:the )?filling (?:in |on |onto |for |to )?each(?=\W*(?:$|[,.;]))`,
  String.raw`(?:\d[\d./ -]*|an? |half an? |one |two )(?:(?:heaped|level|scant|big|small) )?${SPOON} (?:of )?(?:filling )?(?:per|(?:in|into|on|onto|for) (?:each|every|a)) (?:wrapper|skin|round|circle|dis[ck]|square|piece|one|sheet|triangle)`,
  // "Heaped teaspoon mincemeat in each."
  String.raw`(?<=^\W*|[,.;] )(?:(?:heaped|heaping|level|good|generous|scant) )?(?:tsp|tbsp|teaspoon|tablespoon|spoonful)s? (?:of )?(?!(?:[a-zß-öø-ɏ]+ )?(?:oil|ghee|butter|water|milk)\b)(?:[a-zß-öø-ɏ]+ ){1,3}(?:in|into|on|onto) (?:each|every)(?=\W*(?:$|[.;]))`,
  // "Cut discs, put a big spoonful of filling", and nothing about where.
  String.raw`(?:put|place|add|drop|use)(?: on| in)? (?:about )?(?:[\d¼½¾][\d./ ¼½¾–-]*|an? |half an? )(?:(?:heaped|heaping|level|scant|big|small|generous|good) )?${SPOON} (?:of )?(?:the |your )?(?:filling|stuffing)(?=\s*(?:[.;]|$|,? ?(?:and |then )*(?:bake|fry|steam|boil|cook|grill)\b))`,
  String.raw`(?:spread|spoon|stuff|put|press|tuck) [^.;]{0,40}(?:(?<!\bfold [^.;]{0,20})inside(?! the (?:pan|tin|oven))|into the pockets?)`,
  String.raw`(?:divide|spoon|place|put|lay) [^.]{0,60}(?:centre|center|middle|each (?:round|dis[ck]|circle|wrapper|skin|one|piece|square|ball)|(?<=\bfilling\b[^.]{0,40})(?:in|on|into) each(?=\W*(?:$|[,.;]))|among|between (?:the )?(?:wrappers|rounds|dis[ck]s))`,
  // Sealed: "seal with a fork", "crimp", "fork the edges", "make 8 pleats", "a rope edge".
  'seal(?:ed|ing)?|crimp|braid|plait|pleat(?:s|ed)?|enclose|twist|assemble',
  String.raw`fork (?:shut|the edges|all round|all the way round)|(?:make|give (?:it|them)) (?:an? |the )?(?:rope|fluted|plaited|crimped|wavy) (?:edge|rim|border)|(?:flute|scallop) ${EDGES}`,
  String.raw`press (?:the |all |down )?(?:edges?|rims?|shut|closed)`,
  String.raw`pinch (?:shut|closed|the|edges|together|to|well|tight|under(?:neath)?|at the (?:top|bottom)|all (?:the way )?(?:round|around)|along|round|around)`,
  String.raw`(?<=[,;.] |^|\band )pinch(?:,? pinch)*(?=\s*(?:[.;,]|$))`,
  // "Pinch them shut", "squeeze closed", "stick it together", "glue shut with a little water".
  String.raw`(?:pinch|press|squeeze|squash|stick|glue|nip|zip|push|clamp|twist|pull) (?:${THEM} )?(?:tightly |firmly |well )?(?:shut|closed)`,
  String.raw`(?:pinch|nip|clamp) ${THEM} (?:tight|together|well|all)`,
  // "Press firmly round the edges", "squash the sides together", "stick down the rim".
  String.raw`(?:press|pinch|squash|stick|glue|nip|clamp) ${HOW}${EDGES}`,
  String.raw`(?:squeeze|push) ${HOW}${EDGES} (?:together|shut|closed|well)`,
  String.raw`press (?:${HOW}with (?:a |the )?(?:(?:tines|prongs|back) of a )?fork|together(?=\s*(?:[.;,]|$|and (?:seal|bake|fry|steam|boil|cook)\b)))`,
  String.raw`shut (?:${THEM}|tight|well|firmly)`,
  String.raw`close(?=\W*(?:$|[.;]))|(?<=[,;.] |^|\band )close(?=,)|close (?:up|and|(?:it|them|each)\b|well|tightly|(?:in)?to an? (?:ball|bun|parcel|purse|oval|boat|cigar|log|patty|football|torpedo)|${EDGES}|the dough)`,
  // Gathered: "draw the edges up", "cup the dough round the filling", "gather it at the top".
  String.raw`gather (?:the|up|${THEM} (?:up|together|at|over|in))`,
  String.raw`(?:bring|gather|pull|draw) (?:up |in )?(?:the )?(?:three|3|all|both) (?:of the )?(?:sides|edges|corners)`,
  String.raw`(?:bring|pull|draw|lift|pick) (?:up |in )?${EDGES}(?: (?:up|together|over|in|round|around|to)|(?=\W*(?:$|[,.;]|and)))`,
  String.raw`(?:bring|draw|pull|lift|cup|work|ease|mould|mold|stretch|shape|form|close|wrap|roll|smooth|flip|flap|flop|turn|fold) ${DOUGH} (?:up |over |right |all )*(?:over|round|around|across|about) (?:the |its |this |each )?(?:filling|stuffing|mixture|meat|cheese|sausage|egg|apple|it\b|them\b|top)`,
  String.raw`(?:bring|draw|pull) (?:the )?dough (?:up|together) `,
  // Folded: "fold it in half", "corner to corner", "flip the other half over", "like a letter".
  String.raw`fold in (?:the |both )?(?:sides|ends|corners)`,
  // "Filling down the middle, roll".
  String.raw`(?<=\b(?:filling|mixture|mix|meat|sausagemeat)\b[^.;]{0,30}\b(?:middle|cent(?:re|er)|edge|side|length)\b[^.;]{0,12})roll(?: (?:it|them|each))?(?: up)?(?=\s*(?:[,.;]|and\b|$))`,
  // "Roll it up in 12 spring roll wrappers", "wrap in filo".
  String.raw`(?:roll|wrap)(?: (?:it|this|that|them|everything|the (?:filling|mix(?:ture)?)))?(?: up)? in(?:to)? (?:(?:the|your|about|\d{1,3}|a|single|pairs? of) )*(?:[a-zß-öø-ɏ]+ ){0,3}?(?:wrappers?|skins?|filo|phyllo|rice papers?|spring roll (?:pastry|sheets?))\b`,
  String.raw`fold (?:in )?(?:the |all |both |\d |four )+(?:of )?(?:the )?(?:\d |four )?(?:sides|corners|edges)\b(?=\W*(?:$|[,.;]|to\b|into\b|over|in\b|up\b|like))`,
  String.raw`fold using|fold (?:the |all the )?(?:edges?|sides?|borders?|rims?|excess) (?:up|over|in)`,
  String.raw`fold (?:over|it over|in half|into|to (?:an? )?[a-zß-öø-ɏ]+|them|the (?:dough|pastry|sides?|other|edges?|wrapper)|like|up|and|(?:it|each) (?:in half|up|over|into|like)|(?:corner|edge|side|end) to |(?:one|1) (?:side|half|end|corner|edge) |each (?:one|1|round|circle|square|piece|dis[ck]|wrapper) (?:over|in half|up|into)|in(?:to)? (?:thirds|three) )`,
  String.raw`fold(?=\s*(?:[.;]|$))|fold(?=\s*[+&,]?\s+(?:and\s+)?(?:fork|crimp|seal|pinch|press|cut out)\b)`,
  String.raw`(?:bring|flip|flap|flop|turn|lay|pull|double|swing) (?:${FLAP} (?:over|across|on top)|over ${FLAP})`,
  String.raw`double (?:${THEM} )?over|(?:bend|shape|form) (?:${THEM} )?(?:in)?to (?:an? )?(?:half[- ]?moons?|crescents?)`,
  // Wrapped.
  String.raw`wrap(?=\s*[.;]|\s*$|\s*\()|wrap(?:ped)? up|wrap (?:them|these)(?=\W*(?:$|[,.;]|and\b|up\b|like\b))|wrap an? [a-zß-öø-ɏ]+ in (?:each|every|one)`,
  String.raw`wrap (?:the (?:dough|paste|filling)|(?:the|each) (?!dough|pastry|dis[ck]|block|ball|in\b|lot|whole|piece)[a-zß-öø-ɏ]+|round|around|it(?! (?:up |well |tightly |in (?:cling|film|plastic|foil)[a-zß-öø-ɏ ]*)?(?:and|then) (?:put|pop|stick|chill|rest|leave|keep|refrigerate|let|fridge|place)\b)|each|(?:about |around |roughly )?\d{1,3} ?g\b)`,
  // Under a lid, or another round.
  String.raw`(?<!\b(?:water|stock|broth|steam|pan)\b[^.]{0,30})put on the lids?|top (?:the pies|each|them|it) with (?:the |a |their )?lids?|put (?:the )?(?:lids|tops) on|put (?:an? |the |its )lid on (?:each|every)`,
  String.raw`(?<=\b(?:pastry|dough|lid)\b[^.]{0,40})(?:cover|lay (?:it )?over|drape (?:it )?over) (?:the )?(?:pie )?(?:dish|pie|filling|tin)`,
  String.raw`cover with (?:the |all the )?(?:lid|other|pastry|rest|remaining)`,
  String.raw`(?:cover|top)(?: (?:it|each|them))? with (?:another|an?other one|a second) ${A_ROUND}`,
  String.raw`(?:lay|put|place|set|sit) (?:another|an?other one|a second|the other|the second) (?:${A_ROUND} )?(?:on|over|across)|sandwich (?:${THEM} )?together`,
  String.raw`(?<=\bfilling\b[^.;]{0,30})cover(?=\s*[,;&]|\s+and cut\b)`,
  String.raw`top with the rest(?=\W*(?:$|[,.;]))|top with (?:the )?(?:other|second|remaining) (?:\d+|half|rounds|circles|dis[ck]s|sheet)`,
  // Rolled, coiled, shaped.
  String.raw`make (?:\d{1,3} )?(?:buns|patties|parcels|a cone|dumplings|balls|pockets|turnovers|pies|modaks|momos|samosas|kachoris|gujiyas|puffs|rolls)`,
  String.raw`coil (?:it|them|up|all|each|in|the (?:rolls?|ropes?|logs?)|into|like)|shape into`,
  String.raw`roll (?:up|into (?:a |)(?:log|coil|cigar)|(?:it|them|each)(?: one)? (?:all )?up|(?:it|each) (?:like|into) an? (?:cigar|log|carpet|tube)|(?:it|them) over (?:the filling|itself))`,
  String.raw`tuck (?:in |under )?(?:the |its |both |loose )*(?:ends|sides|edges)(?: (?:in|under|over))?`,
]

const CLOSING = new RegExp(String.raw`\b(?:${WAYS.join('|')})\b`, 'i')
/** Whether a text has words that may close a piece. */
export const mayClose: (text: string) => boolean = remember((text) => CLOSING.test(text))
/** All words in a text that may close a piece, in their order. */
export const closingsIn = (text: string): IterableIterator<RegExpExecArray> =>
  text.matchAll(forAllMatches(CLOSING))
/** These roll a dough as well as close a piece: where something is filled later, they do not close. */
export const WEAK_CLOSING = recalled(
  /^(?:roll|fold|twist|shape into|make (?:\d{1,3} )?balls|wrap$|press (?!the edges?|shut|closed)|shape|form|turn|bring|draw|pull|lift|stretch|work|smooth|tuck|double|lay|put|place|sandwich|cover with a)/i,
)
