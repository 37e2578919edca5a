import { SHAPE_ROWS } from '../piece/shapes'
import type { Shape } from '../recipe/vocabulary'
import { isBaseAndLid, LAYS_IN_TRAY } from './dividing'
import { lastMatch } from './matches'
import { remember } from './remember'

const lastIndex = (text: string, pattern: RegExp) => {
  const last = lastMatch(pattern, text)
  return last ? last.index + last[0].length : -1
}

const FOR_LIDS = /\bfor (?:the )?(?:\d{1,2} )?lids?\b|\blids? on\b/i
const BUN = SHAPE_ROWS.find(({ shape }) => shape === 'bun')!
/** "18 big circles and 18 small". */
const BIG_AND_SMALL =
  /\b\d{1,2} (?:big|bigger|large|larger) (?:(?:circles|rounds|dis[ck]s) )?(?:and|&|,)[^.;]{0,8}\b\d{1,2} (?:small|smaller)\b/i
/** "4 pie tins: line, fill, lid". */
const LINES_AND_LIDS = /\bline,? (?:and )?fill(?:,| and)+ (?:put )?(?:the )?lids?\b/i
/** Tins are lined with dough and a lid is put on. */
const IN_TINS =
  /\b(?:muffin|bun|cupcake|tart|patty|pie)[- ]tins?\b[^]{0,40}\b(?:line|press)\b[^]{0,240}\blids?\b|\bline (?:the |a |an |each )?(?:(?:\d+|two|four|six|eight|ten|twelve) )?(?:\d+ ?(?:cm|mm|inch|in|ml)[- ]?(?:[a-zß-öø-ɏ]+ )?)?(?:[a-zß-öø-ɏ-]+ ){0,3}(?:tins?|moulds?|molds?|cups?|dishes|ramekins|holes)\b[^]{0,400}\blids?\b|\bpress\b[^.;]{0,50}\binto (?:(?:the|\d+|two|each|all) )*(?:holes|tins?|moulds?|cups)\b[^]{0,400}\blids?\b/i
const IN_DISHES =
  /\b(?:between|into|among|in|fill)\b(?: the)?(?: (?:\d+|two|four|six|eight))?(?: \d+ ?ml)? (?:[a-zß-öø-ɏ-]+ ){0,2}(?:pie )?(?:dishes|ramekins|tins|moulds|molds|bowls)\b[^]{0,400}\b(?:lids?|(?:top|cover)(?: (?:each|every|them|one))? with (?:(?:the|an?) )?(?:(?:circle|round|dis[ck]|piece|square|sheet) of (?:the )?)?(?:pastry|puff|dough))\b/i
/** "Line the tins with the larger rounds, fill and cover with the smaller ones". */
const IN_TIN_AND_COVERED =
  /\b(?:line|fit|press|lay|fill)\b[^.;]{0,60}\b(?:tins?|moulds?|molds?|dish(?:es)?|ramekins|holes|plates?)\b[^]{0,120}\b(?:cover|top)(?: (?:it|each|them))* with (?:the |a )?(?:smaller|rest\b(?! of the (?:filling|cheese|sauce))|remaining|other|second|pastry|dough)/i
/** "6 sheets below, 6 on top", "roll half to cover the tray, filling, other half on top". */
const BELOW_AND_ABOVE =
  /\b(\d{1,2}) (?:sheets |layers )?(?:below|underneath|under|on the bottom|for the (?:base|bottom)),? (?:and )?(?:the other )?\1 (?:sheets |layers )?(?:on top|above|over|for the top)\b|\b(?:one|first) (?:packet|pack|sheet|block|roll)\b[^]{0,120}\b(?:second|other) (?:packet|pack|sheet|block|roll) (?:on top|over)\b|\bhalf (?:of (?:it|the dough|the pastry) )?(?:to (?:cover|line|fit)|in(?:to)?|over) (?:a |an |the |your )?(?:[a-zß-öø-ɏ]+ )?(?:tray|tin|dish|pan)\b[^]{0,80}\b(?:other|second|remaining) half (?:on top|over|above)\b/i
/** "Lay 3 sheets in a tin, some filling, repeat, finish with filo": layer on layer. */
const LAYER_ON_LAYER =
  /\b(?:tray|tin|dish|pan)\b[^]{0,240}\b(?:repeat|layer(?:ing)?|alternat\w*|continue)\b[^]{0,80}\b(?:finish(?:ing)?|end(?:ing)?|top(?:ping)?) with (?:(?:the|a|last|final|layer|of|\d|two|three|four|flat|whole|plain|more) )*(?:filo|phyllo|fillo|sheets?|pastry|yufka|layer of (?:filo|pastry))\b/i
/** Sheets below and above in a tray: one large pie, whatever it is called. */
const IN_TRAY =
  /\b(?:larger|bigger)(?: (?:one|piece|half|part|portion|ball|sheet))?\b[^.]{0,40}\b(?:fit|line|into|in|onto|over)\b[^.]{0,30}\b(?:tray|tin|dish|pan)\b[^]{0,200}\b(?:cover|top)(?: it)? with (?:the )?(?:second|other|smaller|rest|remaining)\b|\b(?:oil|grease|line|butter|brush|fit|cover|fits) (?:a|an|the|your) [^.]{0,24}\b(?:tray|tin|dish|pan)\b[^]{0,300}\b(?:cover|top|finish) (?:it |them |all )?with (?:(?:the )?rest\b(?! of the (?:filling|cheese|mixture|sauce))|(?:the )?(?:remaining|other)\b[^.]{0,20}(?:sheets?|half|pastry|dough|layers?|leaves))|(?:tray|tin|dish)\b[^]{0,200}\b(?:then|lay|add|put) (?:(?:on|over) )?(?:the )?(?:rest of the |remaining |other )(?:\d )?(?:sheets|filo|phyllo|yufka|layers|leaves)/i
/** "Lay 5 sheets in the tray … another 5 sheets". */
const SHEETS_AGAIN =
  /\b(?:tray|tin|dish|pan)\b[^]{0,240}\b(?:another|other|remaining|last|rest of the) (?:\d{1,2} |half of the )?(?:sheets|layers|filo|phyllo|yufka)\b/i
const COVERED = /\b(?:cover|top)(?: it)? with (?:the )?(?:2nd|second|other|rest|remaining)\b/i
/** Squares or rectangles of pastry with others laid on them: flat parcels. */
const SQUARES_WITH_LIDS =
  /\b(?:rectangles?|squares?|oblongs?)\b[^]{0,120}\b(?:lids?(?: on)?|(?:cover|top)(?: (?:it|each|them))* with (?:the |a |another )?(?:other|second|remaining|rest|rectangle|square))/i
/** "Layer the filo in a tin": with the filling between, or cut up in the tin, all of it is one. */
const LAYERED =
  /\b(?:lay|layer|arrange|stack|place|put)(?:ing)? (?:half (?:of )?)?(?:up )?(?:the |your |\d{1,2} |two |three |four |five |six )?(?:(?:buttered|oiled|brushed|sheets of|of) )*(?:filo|phyllo|fillo|yufka|sheets)\b(?: sheets)?[^.;]{0,16}? in (?:a|an|the|your) [^.;]{0,28}\b(?:tray|tin|dish|pan)\b/i
const LAYERS_FILLING =
  /\b(?:filling|mix(?:ture)?|cheese) (?:goes )?(?:in (?:the )?(?:middle|centre|center)|between)\b|\b(?:half|rest|a third) (?:of )?(?:the )?(?:filling|mix(?:ture)?|cheese)\b|\b(?:score|cut)\b[^.;]{0,20}\b(?:squares|diamonds|portions)\b|\bscore\b[^.;]{0,20}\bpieces\b/i
/** A sheet below and one above, in a tray. */
export const isInTray = (method: string): boolean =>
  IN_TRAY.test(method) ||
  LAYER_ON_LAYER.test(method) ||
  BELOW_AND_ABOVE.test(method) ||
  (LAYERED.test(method) && LAYERS_FILLING.test(method)) ||
  SHEETS_AGAIN.test(method) ||
  (LAYS_IN_TRAY.test(method) && COVERED.test(method))
const DRAWN_UP =
  /\b(?:gather|draw|bring|pull) up (?:the )?(?:edges|sides|dough|corners)\b|\b(?:gather|draw|bring|pull)(?: the)? (?:dough|pastry|edges|sides|corners) (?:up|together|over)\b|\b(?:close|form|shape|roll)(?: (?:them|it|each))?,? (?:up )?into (?:[a-zß-öø-ɏ]+ )?balls\b/i

const LINED_AND_TOPPED =
  /\blin(?:e|ing) (?:a|an|the|your) [^.;]{0,24}\b(?:springform|tin|dish|pan|plate)\b[^]{0,80}\b(?:rest|remaining|other)\b[^.;]{0,20}\b(?:for (?:the |a )?(?:top|lid)|on top)\b/i
const LINES_BASIN =
  /\blin(?:e|ing) (?:a|an|the|your|each|\d{1,2}|two|four|six)? ?(?:[^.;]|\.\d){0,40}\b(?:basins?|pudding (?:bowls?|moulds?|molds?))\b/i

/** What a text says of the shape, besides the shape that its name stands for. */
interface Told {
  /** The name of the dish without what it comes with. */
  own: string
  title: string
  method: string
  /** The shape that the hands make. */
  made: Shape | null
}
const FOLDS = /\bfold\b/i
const FOLDS_OVER = /\bfold (?:[a-zß-öø-ɏ]+ )?(?:in half|over)\b/i
const FOLDS_ROUNDS =
  /\b(?:circles?|rounds?|dis[ck]s?)\b[^]{0,160}\bfold\b[^.;]{0,30}\b(?:fork|crimp|seal|press|edges|pinch)\b/i
const HAS_LID =
  /\blids?\b|\b(?:top|cover)(?: (?:it|them|the filling))? with (?:the |a )?(?:other|second|remaining|rest)\b/i
const WRAPS_ROUND =
  /\bwrap (?:each|every|one|the|a)(?: of the)? (?:balls?|plums?|apricots?|strawberr(?:y|ies)|eggs?|meatballs?|cubes?)\b/i
/** "16 balls, fill, seal". */
const FILLS_BALLS = /\bballs\b[^.;]{0,40}\b(?:fill|stuff)\b/i
const ENDS_AS_BALL =
  /\b(?:close|seal|pinch|enclose|wrap|gather)\b(?:[^.;]{0,40}\b(?:roll|shape|form)\b)?[^.;]{0,16}\b(?:(?:in)?to|(?:form|shape|make)(?: into)?) (?:an? )?(?:(?:smooth|neat|round|tight) )*balls?\b(?![^]*\b(?:flatten|press|pat|roll out)\b)/i
const INTO_PARCELS =
  /\b(?:fold|wrap)\w*(?: [a-zß-öø-ɏ]+){0,3} (?:in)?to (?:an? )?(?:(?:neat|little|small|square) )?(?:parcels?|packets?|envelopes?)\b|\bfold (?:in |over )?(?:the |all )*(?:four|4) (?:sides|corners)\b/i
const INTO_SQUARE =
  /\bfold\b[^.;]*\b(?:to (?:make|form)|into|to) (?:an? )?(?:neat |little )?square (?:pocket|parcel|packet|shape)\b|\bfold\b[^.;]{0,30}\b(?:in)?to (?:make |form )?(?:an? )?(?:neat )?squares?(?=\W*(?:$|[.,;]))/i
const LIKE_ENVELOPE = /\bfold\b[^.;]{0,40}\blike (?:an? )?(?:envelopes?|letters?|parcels?)\b/i
const CORNERS_TO_MIDDLE =
  /\bfold (?:in )?(?:the |all |all the )?(?:four |4 )?corners (?:in|over)\b|\b(?:bring|fold|pull|draw)\b[^.;]{0,20}\bcorners\b[^.;]{0,12}\b(?:to|into|in) (?:the )?(?:middle|cent(?:re|er))\b/i
const SIDES_AND_ROLL =
  /\b(?:fold|tuck)(?:ed|ing)? (?:in (?:the |both |two )?(?:sides|ends|edges)|(?:the |both |two )?(?:sides|ends|edges) (?:in|over))\b[^.;]{0,30}\broll(?:ed|ing)?\b(?:[^.;]{0,16}\b(?:up|over|into|along|forward)\b|\W*(?:$|[.;]))/i
/** Closed round what it holds, and then made flat. */
const CLOSED_THEN_FLAT =
  /\b(?:pinch|gather|enclose|close|seal|wrap|purse)\b[^.]{0,60}\b(?:pat|press|roll|flatten)(?:ted|ed)?(?: (?:it|them|each|out|gently|lightly|carefully|again|down))* (?:flat\b|to (?:an? |about |a thin )?(?:flat |thin )?(?:\d|round|disc|circle)|into (?:an? )?(?:flat |thin |\d\S* ?[a-zß-öø-ɏ]* )?(?:discs?|rounds?|patt(?:y|ies)|circles?)\b)/i
/** Two rounds with the filling between them. */
const BETWEEN_ROUNDS =
  /\b(?:cover|top|sandwich)(?: (?:it|each|them|the filling|one|half))* with (?:(?:a|the|another) )?(?:(?:second|other|another|remaining) )?(?:rounds?|circles?|dis[ck]s?|one)\b(?![^.]{0,40}\b(?:tin|dish|mould))|\bsandwich\b[^;]{0,60}?\bbetween (?:2|two) (?:rounds?|circles?|dis[ck]s?|of them)\b/i
const SQUARE_TO_TRIANGLE =
  /\bsquares?\b(?![^]*\bstrips?\b)[^]{0,240}\bfold\w*\b[^.;]{0,40}\btriang(?:le|ular)/i
const SEAM_DOWN =
  /\b(?:(?:seam|seal|pinched|join|closure)[- ](?:side )?down|(?:bottom|smooth)[- ]side up)\b(?![^]*\b(?:flatten|press (?:them |it |each )?(?:flat|down)|pat (?:them|it|out)|roll (?:it|them|out|gently))\b)/i
/** Flattened, filled and drawn together; nothing makes it flat again. */
const FLAT_THEN_GATHERED =
  /\bflatten\w*\b[^]*\b(?:gather|draw|bring|pull)\b[^.;]{0,30}\b(?:edges|sides|dough|together|up|round|around)\b(?![^]*\b(?:flatten|press|pat|roll)\b)/i
/** "Pull the edges up and pinch. Turn over and flatten slightly". */
const GATHERED_THEN_FLAT =
  /\b(?:gather|pull|bring|draw)\b[^.;]{0,24}\b(?:edges|sides|dough)\b[^]{0,60}\b(?:flatten|roll (?:out |it )?(?:gently|again|flat)|press (?:flat|down))\b/i
const HOLLOWED =
  /\b(?:hollow|make (?:a |an )?(?:hole|hollow|well|cup)|poke (?:a |your )?(?:hole|finger)|press (?:a |your )?thumb)\b[^]{0,120}\b(?:fill|stuff)\w*\b[^]{0,60}\b(?:close|seal|pinch)/i
const PRESSED_INTO_BALLS =
  /\bballs?\b[^]{0,80}\b(?:press|push|tuck|poke|hide)\b[^.;]{0,20}\b(?:an?|the|some|in)\b[^.;]{0,60}\b(?:close|seal|shut|re-?shape|re-?roll|pinch)\b(?![^]*\b(?:flatten|press|pat|roll)\b)/i
const ROLLS_FROM_END =
  /\broll(?:ed|ing)? (?:it |them |each )?up\b[^.;]{0,30}\b(?:wide|wider|short|fat|broad|long)(?:est)? (?:end|side|edge)\b/i
/** Where the filling of a triangle lies that is rolled up. */
const WIDE_END = /\b(?:wide|wider|widest|broad|fat|short|shortest) (?:end|side|edge)\b/i
/** "Cut strips on both sides and braid over the filling": one loaf, whatever it is called. */
export const PLAITED_OVER =
  /\b(?:braid|plait|criss[- ]?cross|lattice)\b[^.;]{0,30}\bover the (?:filling|meat|top|middle|cent(?:re|er))\b|\bstrips\b[^;]{0,60}\b(?:criss[- ]?cross|lattice)\b|\bstrips\b[^.;]{0,60}\b(?:braid|plait)\b/i

const WINDS =
  /\b(?:coil|wind|curl)(?:ed)? (?:it |them |the rolls? |up )?(?:from|in(?:to)? (?:a |the )?(?:spiral|snail|tray|tin|middle|centre|center)|outwards?|around|round)\b/i
const ROLLS_AND_COILS =
  /\bfilling\b[^.;]*\broll(?: (?:it|them|each))?(?: up)?(?:,| and|,? then)+ (?:coil|wind|curl)\b/i
const IN_HOLES =
  /\b(?:muffin|bun|cupcake|tart|patty)[- ]tins?\b|\b\d{1,2}[- ]?holes?\b|\b(?:in|into) (?:each|every|the) (?:[a-zß-öø-ɏ]+ )?holes?\b/i
const LIKE_A_BURRITO =
  /\broll\w*(?: (?:it|them|each))?(?: up)? like (?:an? )?(?:burrito|spring roll|egg roll|cigar)/i
const ROLLS_UP =
  /\broll(?:ed|ing)? (?:it |them |each )?(?:up\b|tight(?:ly)?\b|(?:along|from|starting (?:at|from)) (?:the |a |one |1 )?(?:long|short|wide|near)\w*)|\broll(?:ed)?(?: (?:it|them|each))?(?: up)? like (?:an? )?(?:burritos?|cigars?|spring rolls?|egg rolls?)\b|\broll(?:ed)?,? (?:with )?(?:the )?seam\b/i

/**
 * Where the hands say otherwise than the name: the first that holds. `null` in `of` is a dish whose name says nothing,
 * `becomes: null` the shape as it is made.
 */
const INSTEAD: readonly {
  of: readonly (Shape | null)[]
  when: (told: Told) => boolean
  becomes: Shape | null
}[] = [
  // "Patties" that are folded to triangles are no discs, and a flat bread that is folded over is a half-moon.
  {
    of: ['disc'],
    when: ({ made, method }) => (made === 'half-moon' || made === 'cone') && FOLDS.test(method),
    becomes: null,
  },
  // "Scotch pies … roll the rest for 6 lids"; hand pies are folded, and some are baked in tins under a lid.
  {
    of: [null, 'half-moon'],
    when: ({ own, method }) =>
      /\bpies\b/i.test(own) &&
      ((FOR_LIDS.test(method) && !FOLDS.test(method)) ||
        IN_TINS.test(method) ||
        IN_DISHES.test(method) ||
        LINES_AND_LIDS.test(method) ||
        BIG_AND_SMALL.test(method)),
    becomes: 'lidded-pie',
  },
  {
    of: [null],
    when: ({ method }) => (isBaseAndLid(method) || IN_TIN_AND_COVERED.test(method)) && !FOLDS.test(method),
    becomes: 'lidded-pie',
  },
  {
    of: ['roll'],
    when: ({ method }) => BELOW_AND_ABOVE.test(method) && !ROLLS_UP.test(method),
    becomes: 'lidded-pie',
  },
  { of: [null, 'half-moon', 'disc'], when: ({ method }) => isInTray(method), becomes: 'lidded-pie' },
  // "Line a springform. Fill. Roll the rest for the top".
  {
    of: [null, 'half-moon', 'disc'],
    when: ({ method }) => LINED_AND_TOPPED.test(method),
    becomes: 'lidded-pie',
  },
  // A suet pudding lines its basin, and the rest of the crust is its lid.
  { of: [null], when: ({ method }) => LINES_BASIN.test(method), becomes: 'lidded-pie' },
  // Anything filled is called a dumpling: dough that is drawn up round what it holds is closed as a bun.
  {
    of: ['half-moon'],
    when: ({ title, method }) =>
      /\bdumplings?\b/i.test(title) && DRAWN_UP.test(method) && !FOLDS_OVER.test(method),
    becomes: 'bun',
  },
  // Bread whose sides are cut and plaited over what it holds is one roll.
  { of: [null, 'disc', 'bun'], when: ({ method }) => PLAITED_OVER.test(method), becomes: 'roll' },
  // Crescents that are rolled up from triangles are rolls.
  {
    of: ['half-moon'],
    when: ({ own, method }) => /\bcrescents?\b/i.test(own) && ROLLS_UP.test(method),
    becomes: 'roll',
  },
  {
    of: [null],
    when: ({ method, made }) =>
      made === 'cone' && (ROLLS_FROM_END.test(method) || (WIDE_END.test(method) && ROLLS_UP.test(method))),
    becomes: 'roll',
  },
  // Flattened, filled, and laid seam side down: a bun, where nothing flattens it again.
  {
    of: [null],
    when: ({ method, made }) =>
      made === 'disc' && (SEAM_DOWN.test(method) || FLAT_THEN_GATHERED.test(method)),
    becomes: 'bun',
  },
  // Squares of pastry that are folded to triangles are turnovers.
  {
    of: [null],
    when: ({ method, made }) => made === 'cone' && SQUARE_TO_TRIANGLE.test(method),
    becomes: 'half-moon',
  },
  // "Hollow out with a finger, fill, close": a ball round what it holds.
  {
    of: [null],
    when: ({ method, made }) => made !== 'lidded-pie' && HOLLOWED.test(method),
    becomes: 'bun',
  },
  // Whose sides are folded in and that is rolled up is a roll, be it called a pocket, a bun or a dumpling.
  {
    of: [null, 'half-moon', 'bun'],
    when: ({ method }) => SIDES_AND_ROLL.test(method) && !FOLDS_OVER.test(method),
    becomes: 'roll',
  },
  // A strudel or a long roll that is wound in its tray is a coil.
  {
    of: ['roll'],
    when: ({ method }) => WINDS.test(method),
    becomes: 'coil',
  },
  // "Roll and coil", whatever they are called.
  {
    of: [null, 'bun', 'roll', 'half-moon', 'disc'],
    when: ({ method }) => ROLLS_AND_COILS.test(method),
    becomes: 'coil',
  },
  // Rolls that are drawn up round what they hold are buns.
  {
    of: ['roll'],
    when: ({ method }) => (BUN.closedBy.test(method) || FILLS_BALLS.test(method)) && !ROLLS_UP.test(method),
    becomes: 'bun',
  },
  // "Wrap each plum in dough": round, as what is in it.
  {
    of: [null, 'half-moon', 'pleated'],
    when: ({ method, made }) => made === null && WRAPS_ROUND.test(method) && !FOLDS.test(method),
    becomes: 'bun',
  },
  // "Tuck & roll like a burrito".
  {
    of: [null],
    when: ({ method, made }) => made === 'bun' && LIKE_A_BURRITO.test(method),
    becomes: 'roll',
  },
  {
    of: [null],
    when: ({ method, made }) => made === 'parcel' && SIDES_AND_ROLL.test(method),
    becomes: 'roll',
  },
  {
    of: [null],
    when: ({ method, made }) =>
      made !== 'lidded-pie' &&
      made !== 'coil' &&
      !FOLDS.test(method) &&
      (CLOSED_THEN_FLAT.test(method) || BETWEEN_ROUNDS.test(method)),
    becomes: 'disc',
  },
  // A pocket that is closed round what it holds and pressed flat.
  {
    of: ['half-moon'],
    when: ({ own, method }) =>
      /\bpockets?\b/i.test(own) && !FOLDS.test(method) && CLOSED_THEN_FLAT.test(method),
    becomes: 'disc',
  },
  // Parcels that are gathered round what they hold and made flat.
  {
    of: ['parcel'],
    when: ({ own, method }) =>
      /\bparcels?\b/i.test(own) && !FOLDS.test(method) && GATHERED_THEN_FLAT.test(method),
    becomes: 'disc',
  },
  // Hand pies of two rounds are folded nowhere.
  {
    of: ['half-moon'],
    when: ({ method }) => !FOLDS.test(method) && BETWEEN_ROUNDS.test(method),
    becomes: 'disc',
  },
  {
    of: [null],
    when: ({ method }) =>
      SQUARES_WITH_LIDS.test(method) &&
      !FOLDS.test(method) &&
      !/\b(?:tins?|dish(?:es)?|moulds?)\b/i.test(method),
    becomes: 'parcel',
  },
  // Pies in the holes of a tin stay open: of our shapes a pie is nearest.
  {
    of: [null, 'half-moon'],
    when: ({ own, method }) =>
      /(?<!\bhand )\b(?:pies|tarts|quiches)\b/i.test(own) &&
      !FOLDS.test(method) &&
      IN_HOLES.test(`${own}. ${method}`),
    becomes: 'lidded-pie',
  },
  // A galette is open in the middle, with its border folded in: of our shapes a pie is nearest.
  {
    of: [null],
    when: ({ title, method }) => /\b(?:galettes?|crostatas?)\b/i.test(title) && /\bborder\b/i.test(method),
    becomes: 'lidded-pie',
  },
  // What is flattened, filled, closed and then rolled to a ball stays one.
  {
    of: [null],
    when: ({ method, made }) => made === 'disc' && ENDS_AS_BALL.test(method),
    becomes: 'bun',
  },
  {
    of: ['pleated'],
    when: ({ method }) => /\bhalf[- ]moons?\b/i.test(method),
    becomes: 'half-moon',
  },
  // A pocket whose edges are folded in like an envelope's.
  {
    of: ['half-moon'],
    when: ({ own, method }) =>
      /\bpockets?\b/i.test(own) && (LIKE_ENVELOPE.test(method) || CORNERS_TO_MIDDLE.test(method)),
    becomes: 'parcel',
  },
  // "Fold in the sides to make a square pocket".
  {
    of: [null, 'half-moon'],
    when: ({ method }) => INTO_SQUARE.test(method),
    becomes: 'parcel',
  },
  // A pocket that is a ball pressed in, filled and closed.
  {
    of: ['half-moon'],
    when: ({ own, method }) =>
      /\bpockets?\b/i.test(own) && !FOLDS.test(method) && PRESSED_INTO_BALLS.test(method),
    becomes: 'bun',
  },
  // Gyoza of rice paper that are folded up into parcels.
  {
    of: ['half-moon'],
    when: ({ method, made }) => made === 'parcel' && INTO_PARCELS.test(method),
    becomes: 'parcel',
  },
  // A dumpling that is pleated, or wrapped as a parcel, and nowhere folded.
  {
    of: ['half-moon'],
    when: ({ own, title, method, made }) =>
      ((made === 'pleated' && /\bdumplings?\b/i.test(own)) ||
        (made === 'parcel' && /\bdumplings?\b/i.test(title))) &&
      !FOLDS.test(method),
    becomes: null,
  },
]

/**
 * The shape that the title, else the method, speaks of; null when neither does.
 *
 * @param said what is counted ("12 buns")
 */
export function readShape(title: string, method: string, said = ''): Shape | null {
  return shapeOf(title)(said)(method)
}
/** A method is long, and at every key another one: of these only the last few are kept. */
const METHODS_KEPT = 8
const shapeOf = remember((title) =>
  remember((said) => remember((method) => findShape(title, method, said), METHODS_KEPT), METHODS_KEPT),
)

/** A pie that is flattened by hand and fried has no lid. */
const IN_THE_PAN = /\b(?:flatten|pinch|gather)\b[^]{0,200}\b(?:pan[- ]?fry|griddle|fry)\b/i

/** "Spiral pie": a rope that is wound. */
const WOUND = /\b(?:spiral|coil(?:ed)?|snail)\b/i
/** Where the name of the dish ends, and what it comes with begins. */
const OWN_ENDS = /\s+(?:with|in|from|for|using|made (?:with|from|of)|out of)\s+|\s*[(,:]|\s+[-–—]\s+/i

const EITHER_SHAPE =
  /\b(half[- ]moons?|triangles?|squares?|parcels?|crescents?) or (?:an? |into )?(?:half[- ]moons?|triangles?|squares?|parcels?|crescents?)\b/gi
function findShape(title: string, steps: string, said: string): Shape | null {
  // "8 rectangles (2 triangles each)": what they are put together from.
  const method = steps
    .replace(/\(\d triangles? each\)/gi, '')
    // Foil that is pleated lies over the basin.
    .replace(/\bpleated (?=(?:[a-zß-öø-ɏ]+ ){0,2}(?:foil|paper|parchment|cloth)\b)/gi, '')
    // "Fold to half moons or triangles": the one that is named first.
    .replace(EITHER_SHAPE, '$1')
  // "Apple strudel parcels" are parcels: the last word of what it is called, before what it comes with.
  const front = title.split(OWN_ENDS)[0]!
  // "Spread (chocolate) crescent rolls": what is called a shape may stand behind the bracket.
  const own = SHAPE_ROWS.some(({ called }) => called.test(front))
    ? front
    : title.replace(/\s*\([^)]*\)(?=\s*\p{L})/gu, '').split(OWN_ENDS)[0]!
  // "Samosa pie" is a pie, whatever it tastes of.
  // "Meat pie": of rounds that are folded over their filling it is one for the hand.
  const isFolded = (FOLDS_OVER.test(method) || FOLDS_ROUNDS.test(method)) && !HAS_LID.test(method)
  if (/(?<!\bhand )\bpie$/i.test(own.trim()) && !isFolded && !IN_THE_PAN.test(method) && !WOUND.test(own))
    return 'lidded-pie'
  const named =
    SHAPE_ROWS.map(({ shape, called }) => ({ shape, at: lastIndex(own, called) }))
      .filter(({ at }) => at >= 0)
      .sort((a, b) => b.at - a.at)[0] ?? SHAPE_ROWS.find(({ called }) => called.test(title))
  const made = (
    SHAPE_ROWS.find(({ closedBy }) => closedBy.test(method)) ??
    SHAPE_ROWS.find(({ hinted }) => hinted?.test(method))
  )?.shape
  const told = { own, title, method, made: made ?? null }
  const instead = INSTEAD.find(({ of, when }) => of.includes(named?.shape ?? null) && when(told))
  if (instead) return instead.becomes ?? told.made
  if (named) return named.shape
  // "Yield: 12 buns" names the piece as a title does, where the method only flattens it; balls are of dough.
  const counted =
    made && made !== 'disc'
      ? undefined
      : SHAPE_ROWS.find(({ called }) => called.test(said.replace(/\bballs?\b/gi, '')))
  if (counted) return counted.shape
  if (made) return made
  // One pie has a lid; pies are closed in the hand.
  if (/\bpie\b/i.test(title)) return 'lidded-pie'
  return /\bpies\b/i.test(title) ? 'half-moon' : null
}
