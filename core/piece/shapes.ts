import { SHAPES, type Shape } from '../recipe/vocabulary'

/** What is known of a shape: everything that reads, draws or reckons with shapes reads it here. */
export interface ShapeRow {
  /** On screen. */
  name: string
  /** Height and length in units of the width. */
  height: number
  length: number
  /** How square the cut through the middle is: exponent of a superellipse, 2 for round. */
  power: number
  /** The part of the height that lies below the widest line. */
  base: number
  /** How far the piece keeps its size towards its ends: exponent of a superellipse along its length. */
  taper: number
  /** Towards the ends the height shrinks with the width, or stays, as in a cake. */
  flat: boolean
  /** How often a cut through the middle meets the piece: once, or once for each winding of a rope. */
  windings: number
  /** The share of the surface that lies against itself, where no fat reaches. */
  touching: number
  /** The share of the dough that is rim, knot or overlap, and so no part of the wall round the filling. */
  seam: number
  /** The rim stands out to the side, where a cut through the middle meets it. */
  lip: boolean
  /** Cut from a sheet, which leaves trimmings; else divided by weight. */
  cutFromSheet: boolean
  /** The width that is rolled or cut, in the words of a dough's family: a rope is stretched. */
  stretched: boolean
  /** How thin it is usually rolled before it is filled, in mm. */
  rolledMm: number
  /** It lies on a tray as a disc; else as an oblong. */
  round: boolean
  /** What a dish is called that has this shape. */
  called: RegExp
  /** What the hands do to close it; words for pieces of dough ("rounds", "balls") say nothing of the shape. */
  closedBy: RegExp
  /** Words that only hint at it, taken when no shape is named by better ones. */
  hinted?: RegExp
}

/** A cut through the middle of a coil meets its rope four times. Common practice, no source. */
const COIL_WINDINGS = 4

/**
 * The shapes, in the order in which their words are looked for in a method. Proportions as pieces are usually
 * shaped, before cooking: common practice, no source; the volume then fixes the size.
 */
export const SHAPE_TABLE: Readonly<Record<Shape, ShapeRow>> = {
  'lidded-pie': {
    name: 'Lidded pie',
    height: 0.4,
    length: 1,
    power: 6,
    base: 0.5,
    taper: 2,
    flat: true,
    windings: 1,
    touching: 0,
    seam: 0.15,
    lip: false,
    cutFromSheet: true,
    stretched: false,
    rolledMm: 3.5,
    round: true,
    called:
      /\b(?:lidded|pie dish|pot pies?|plate pies?|double[- ]crust|covered pie|raised pie|pork pies?|pithiviers?|line (?:the |a |an |each |\w+ )?(?:\w+ )?(?:moulds?|molds?|tins?|dish|dishes|ramekins?)\b[^.]{0,80}\blids?)\b/i,
    closedBy:
      /\b(?:pie (?:dish|plate|tin)|(?:roll out|cut|put on|cover with) (?:the|a|your) lid|for the lids?\b|lid and (?:glaze|seal|crimp)|(?:add|put on|top with|cover(?:ed)? with|lay|place|set|press) (?:on )?(?:the |a |its |their |pastry |dough )*lids?\b|lid of (?:dough|pastry)|top with the (?:lid|other|remaining) (?:pastry|dough)|(?:pie dish|deep dish)[^.]{0,60}lid|line (?:a|the) [^.]{0,30}(?:dish|tin|plate))\b/i,
  },
  coil: {
    name: 'Coil',
    height: 0.85,
    // A rope wound until the cut meets it four times: π times four windings of its own width long.
    length: Math.PI * COIL_WINDINGS,
    power: 2.2,
    base: 0.4,
    taper: 9,
    flat: false,
    windings: COIL_WINDINGS,
    touching: 0.15,
    seam: 0.12,
    lip: false,
    cutFromSheet: false,
    stretched: true,
    rolledMm: 1,
    round: true,
    called: /\b(?:coils?|coiled|snail|spirals?)\b/i,
    closedBy:
      /\b(?:coil (?:it|them|up|each|like|from|around|round|in(?:to)? (?:an? |the )?(?:[a-z]+ )?(?:tin|tray|pan|dish|skillet))|into (?:a )?coils?|snail|spiral)\b/i,
  },
  pleated: {
    name: 'Pleated or twisted',
    height: 0.64,
    length: 1,
    power: 1.9,
    base: 0.25,
    taper: 2,
    flat: false,
    windings: 1,
    touching: 0,
    seam: 0.25,
    lip: false,
    cutFromSheet: true,
    stretched: false,
    rolledMm: 2,
    round: true,
    called:
      /\b(?:momos?|pleated(?: \p{L}+)?|modaks?|kozhukattai|soup dumplings?|xiao ?long ?bao|khinkali|har gow|buuz|s(?:iu|hu)[ -]?mai|shaomai)\b/iu,
    closedBy:
      /\b(?:pleat(?:s|ed|ing)?\b(?! (?:the )?(?:edge|half))|twist(?:ed)? (?:shut|closed|the top)|pleat[^.;]{0,30}\b(?:at the top|shut|closed)|(?:like|into) (?:an? )?(?:purses?|pouch(?:es)?|money bags?))\b/i,
  },
  cone: {
    name: 'Cone',
    height: 0.62,
    length: 1.25,
    power: 1.35,
    base: 0.25,
    taper: 1.45,
    flat: false,
    windings: 1,
    touching: 0,
    seam: 0.3,
    lip: true,
    cutFromSheet: false,
    stretched: false,
    rolledMm: 2,
    round: false,
    called: /\b(?:cones?|samosas?|samsas?|sambusas?|sambuseks?|triangles?|fatayer|bourekas|briou?ats?)\b/i,
    closedBy: /\b(?:cones?|triangles?)\b/i,
  },
  'half-moon': {
    name: 'Half-moon',
    height: 0.42,
    length: 1.9,
    power: 1.75,
    base: 0.25,
    taper: 1.8,
    flat: false,
    windings: 1,
    touching: 0,
    seam: 0.3,
    lip: true,
    cutFromSheet: true,
    stretched: false,
    rolledMm: 2.5,
    round: false,
    called:
      /\b(?:turnovers?|half[- ]moons?|past(?:y|ies)|hand pies?|empanadas?|dumplings?|pierogi(?:es)?|vareniki|varenyky|pelmeni|gyoza|mandu|gujiyas?|karanjis?|chebureki|qutabs?|kutabs?|bolani|mezzelune|agnolotti|empanadillas?|empanaditas?|salteñas?|panzerotti|rissoles|bridies|kibinai|karipap|jamaican patt(?:y|ies)|potstickers?|jiaozi|pockets?|calzon(?:es?|i)|crescents?|curry puffs?)\b/i,
    closedBy:
      /\b(?:half[- ]moons?|fold (?:it |them |each |the dough |the pastry )?(?:over|in half|in two)|fold[^.]{0,30}(?:crimp|pinch|press the edges|fork)|fold,? (?:and |then )?(?:seal|twist|braid|plait|pleat)|(?:bring|flip|lift|turn|pull) (?:one|the other|the empty) (?:side|half|edge)[^.;]{0,20}(?:over|to meet|across)|(?:crimp|fork shut)|turnovers?|past(?:y|ies)|empanadas?)\b/i,
    hinted:
      /\b(?:dumplings?|pockets?|fold)\b|\b(?:on|over) (?:one |1 |the )?half\b[^]{0,80}\b(?:close|seal|press)\b/i,
  },
  parcel: {
    name: 'Parcel',
    height: 0.4,
    length: 1.2,
    power: 2.6,
    base: 0.35,
    taper: 2.5,
    flat: false,
    windings: 1,
    touching: 0,
    seam: 0.3,
    lip: false,
    cutFromSheet: false,
    stretched: false,
    rolledMm: 2,
    round: false,
    called:
      /\b(?:parcels?|wontons?|envelopes?|squares?|packets?|manti|manty|burritos?|knishes|maultaschen|murtabaks?|wellingtons?|martabaks?|mughlai parathas?|raviolis?|tortellini|cappelletti|agnolotti|breakfast tarts)\b/i,
    closedBy:
      /\b(?:envelopes?|packets?|parcels?|(?:wrap|fold) (?:it |them |up |each )*(?:in(?:to)?|as) (?:an? )?(?:squares?|packets?|parcels?)|fold (?:in )?the (?:four )?(?:corners|sides)|fold (?:in )?(?:two|2|both|opposite) (?:opposite )?sides|(?:pull|bring|draw|gather|fold) (?:up )?(?:the |all )?(?:4|four) (?:corners|sides)|(?:pinch|press|seal|stick|bring|squeeze) (?:the |all |opposite |both )*corners (?:together|up|in(?:to)?(?: the middle| the cent(?:re|er))?))\b/i,
  },
  roll: {
    name: 'Roll',
    height: 0.8,
    length: 3,
    power: 2.2,
    base: 0.4,
    taper: 5,
    flat: false,
    windings: 1,
    touching: 0,
    seam: 0.25,
    lip: false,
    cutFromSheet: false,
    stretched: true,
    rolledMm: 1.5,
    round: false,
    called:
      /\b(?:rolls?|roly[- ]?poly|strudel|roulade|egg rolls?|spring rolls?|lumpias?|cigars?|flautas|taquitos|tamales?|burritos?|plaits?|braids?|stromboli)\b/i,
    closedBy:
      /\b(?:roll (?:up|it up|them up|into a (?:log|cigar))|roll(?: (?:it|them))? in(?:to)? (?:[\w-]+ ){0,4}wrappers|tuck in the (?:sides|ends))\b/i,
  },
  disc: {
    name: 'Flat disc',
    height: 0.16,
    length: 1,
    power: 4,
    base: 0.5,
    taper: 2,
    flat: true,
    windings: 1,
    touching: 0,
    seam: 0.1,
    lip: false,
    cutFromSheet: true,
    stretched: false,
    rolledMm: 5,
    round: true,
    called:
      /\b(?:stuffed (?:flat)?breads?|griddle breads?|parathas?|flatbreads?|patt(?:y(?! tins?)|ies)|kulchas?|kachoris?|kochuris?|kachauris?|pupusas?|gorditas?|arepas?|poli|holige|obbattu|rotis?|naans?|puris?|hotteok|xian ?bing|lihapiirakka|belyashi|peremech|(?:potato|filled) cakes?|cakes)\b/i,
    closedBy:
      /\b(?:flatten|patt(?:y(?! tins?)|ies)|roll (?:gently|lightly|carefully)\b|roll (?:gently |out |it )*(?:again|to \d)\b|(?:stuff|fill|close|seal)(?: (?:it|them|each|well|up|and (?:seal|close)))*[,;] (?:and )?roll (?:out )?\d[\d. -]* ?(?:inch|cm|in\b|")|pat (?:out|into))(?!\p{L})/iu,
  },
  bun: {
    name: 'Bun',
    height: 0.68,
    length: 1,
    power: 2.2,
    base: 0.3,
    taper: 2,
    flat: false,
    windings: 1,
    touching: 0,
    seam: 0.1,
    lip: false,
    cutFromSheet: false,
    stretched: false,
    rolledMm: 6,
    round: true,
    called:
      /\b(?:buns?|baos?|baozi|siopaos?|nikuman|piroz?s?h?ki|pyrizhky|pyrizhki|kolaches?|runzas?|bierocks?|littis?|buchteln|daifuku|tangyuan|rolls? \(round\)|balls?|bombs?|doughnuts?|donuts?|berliners?|krapfen|bomboloni|p[aą]czki|malasadas?|sufganiyot|beignets?)\b/i,
    closedBy:
      /\b(?:buns?|seam[- ](?:side )?(?:down|under(?:neath|side)?|at the bottom)|(?:gather|draw|bring|pull) (?:up|the (?:edges|sides|dough|pastry) (?:up|together|over|round)|(?:the )?(?:dough|pastry) up|edges)|gather the|wrap the dough (?:a?round)|pinch (?:shut|closed|together|to))\b/i,
    hinted: /\b(?:rounds?|balls?)\b/i,
  },
}

/** The shapes with what is known of them, in the order in which their words are looked for. */
export const SHAPE_ROWS = (Object.entries(SHAPE_TABLE) as [Shape, ShapeRow][]).map(([shape, row]) => ({
  shape,
  ...row,
}))

/** Names of the shapes as they are offered, in their own order. */
export const SHAPE_NAMES = Object.fromEntries(
  SHAPES.map((shape) => [shape, SHAPE_TABLE[shape].name]),
) as Readonly<Record<Shape, string>>
