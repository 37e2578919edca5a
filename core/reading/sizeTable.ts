import { after, before, FAT, LEAST_DISC_CM, ROUND, STAMP, TIN, words, type Size } from './sizeWords'
import { WEIGHTS_AND_SPOONS } from './weightTable'

// What the measures of a clause may be of, one row for each way of telling it, each with a sentence that shows it.

/** What a measure may be of; the order decides. */
export const SIZES = {
  squares: {
    of: 'square',
    says: 'Cut into 8 x 8 cm squares.',
    fact: 'disc-cm',
    after: after('squares'),
  },
  squaresOf: {
    of: 'square',
    says: 'Cut squares of about 8 by 8 cm.',
    fact: 'disc-cm',
    before: before(String.raw`\bsquares(?:,| of| about| measuring| each)*`),
  },
  anotherArea: { of: 'square', says: 'Roll to a 40 x 40 cm sheet.', fact: null },

  oil: {
    of: 'length',
    says: 'Heat 5 cm of oil in a pan.',
    fact: 'oil-depth-cm',
    after: after(String.raw`(?:of |deep )?${words(1)}${FAT}\b`),
  },
  oilDeep: {
    of: 'length',
    says: 'Pour oil into a pan, 5 cm deep.',
    fact: 'oil-depth-cm',
    after: after(
      String.raw`deep\b|(?:high |way )?up the (?:side|pan|wall)|in (?:the |a |your )?(?:[a-zß-öø-ɏ]+ )?(?:pan|skillet|wok)\b`,
    ),
    clause: new RegExp(String.raw`\b${FAT}\b`, 'i'),
  },
  oilDepth: {
    of: 'length',
    says: 'Heat oil to a depth of 2 cm.',
    fact: 'oil-depth-cm',
    before: before(String.raw`\b(?:depth|height)(?: of|:)?(?: about| at least)?`),
    clause: new RegExp(String.raw`\b${FAT}\b`, 'i'),
  },

  thickSlices: {
    of: 'length',
    says: 'Shape into a 3 cm thick sausage.',
    fact: null,
    after: after(
      String.raw`(?:thick|thin|wide) (?:slices?|sausages?|logs?|ropes?|rolls?|cylinders?|snakes?|strips?|rings|coins|chunks|fingers)\b`,
    ),
  },
  thick: {
    of: 'length',
    says: 'Roll the dough out 3 mm thick.',
    fact: 'thickness-mm',
    after: after(String.raw`(?:in )?(?:thick(?:ness)?|thin)\b`),
    most: LEAST_DISC_CM,
  },
  thickness: {
    of: 'length',
    says: 'Roll out to a thickness of 3 mm.',
    fact: 'thickness-mm',
    before: before(
      String.raw`\bthickness(?: of| to| is| should be|:)?|\bthin(?:ly)?(?:,| to| at| until| as)*|\bthin as (?:you can|possible)|\b(?:no|not) thicker than`,
    ),
    most: LEAST_DISC_CM,
  },

  thinSheets: {
    of: 'length',
    says: 'Roll to 1 mm sheets.',
    fact: 'thickness-mm',
    after: after(String.raw`(?:pasta )?(?:sheets?|layers?|leaves)\b`),
    most: 0.4,
  },
  water: {
    of: 'length',
    says: 'Bring 3 cm of water to a boil.',
    fact: null,
    after: after('(?:of |deep )?water'),
  },
  cutUp: {
    of: 'length',
    says: 'Cut the log into 3 cm lengths.',
    fact: null,
    after: after(
      String.raw`(?:long |wide |thick |square )?(?:strips?|logs?|ropes?|sausages?|rolls?|cylinders?|snakes?|slices?|lengths?|chunks?|cubes?|dice|bits|pieces|matchsticks?|batons?|wedges?|fingers?|sheets?|rectangles?|oblongs?|slabs?|borders?|margins?|gaps?|rims?|edges?|slits?|holes?|overlap|intervals)\b`,
    ),
  },
  between: {
    of: 'length',
    says: 'Fold in, leaving a border of 2 cm.',
    fact: null,
    before: before(
      String.raw`\b(?:border|rim|edge|gap|margin|overlap|every|apart|leaving(?: an?)?|leave(?: an?)?)(?: of)?`,
    ),
  },
  apart: {
    of: 'length',
    says: 'Set them on a tray 5 cm apart.',
    fact: null,
    after: after(
      String.raw`(?:apart|from (?:the|an|one|its) (?:edge|end|side|rim|border)|away|high|tall|clear|free|of the edge|border)\b`,
    ),
  },
  rope: {
    of: 'length',
    says: 'Roll into a rope about 30 cm long.',
    fact: null,
    before: before(
      String.raw`\b(?:logs?|ropes?|sausages?|(?<=\b(?:an?|the|each|one|long) )rolls?|cylinders?|snakes?|strips?|rectangles?|oblongs?|slabs?|(?<!between (?:[a-zß-öø-ɏ\d]+ )?)sheets?)\b[^.;,]{0,20}`,
    ),
  },

  tin: {
    of: 'length',
    says: 'Line a 23 cm loose-bottomed tin.',
    fact: null,
    after: after(
      String.raw`(?:round |square )?${words(3)}(?:${TIN}|(?:pie|cake|tart|flan|baking|oven) plates?)\b`,
    ),
  },
  linedPlate: {
    of: 'length',
    says: 'Line a 23 cm plate with the larger half.',
    fact: null,
    after: after('plate'),
    clause: /\bline\b/i,
  },
  rolledSquare: {
    of: 'length',
    says: 'Roll the pastry to a 30 cm square.',
    fact: null,
    before: before(
      String.raw`\broll[a-zß-öø-ɏ]*(?: (?!each|every|balls?|one|them)[a-zß-öø-ɏ]+){0,3} (?:in)?to (?:an? )?`,
    ),
    after: after('square\\b'),
  },
  cutBare: {
    of: 'length',
    says: 'Roll thin, cut 7 cm.',
    fact: 'disc-cm',
    before: before(String.raw`(?:^|[,.;]) ?(?:then |and )?cut`),
    after: after(String.raw`(?=\W*(?:$|[.;]))`),
    least: 5,
    most: 20,
  },
  cutter: {
    of: 'length',
    says: 'Stamp out rounds with a 10 cm pastry cutter.',
    fact: 'cutter-cm',
    after: after(String.raw`${words(2)}(?:round )?${STAMP}\b`),
  },
  cutterOf: {
    of: 'length',
    says: 'Cut circles with a cutter about 10 cm across.',
    fact: 'cutter-cm',
    before: before(
      String.raw`\b(?!lid)${STAMP}(?:,| of| about| that(?: is|'s)| which is| measuring| with a diameter of| at least)*`,
    ),
  },
  tinOf: {
    of: 'length',
    says: 'Line a tin of 23 cm with it.',
    fact: null,
    before: before(String.raw`\b${TIN}(?:,| of| about| measuring)*`),
  },

  long: {
    of: 'length',
    says: 'Roll each to an oval about 20 cm long.',
    fact: 'disc-cm',
    after: after('long|in length'),
    clause: /\bovals?\b/i,
  },
  otherLong: { of: 'length', says: 'Roll it 40 cm long.', fact: null, after: after('long|in length') },
  round: {
    of: 'length',
    says: 'Roll each piece to a thin 12 cm circle.',
    fact: 'disc-cm',
    after: after(String.raw`(?:in diameter |wide |across |diameter )?${words(2)}${ROUND}\b`),
    least: LEAST_DISC_CM,
  },
  across: {
    of: 'length',
    says: 'Press each out until 12 cm across.',
    fact: 'disc-cm',
    after: after(String.raw`(?:in )?(?:across|wide|diameter|dia\b|width)|(?:on|along) (?:each|a|the) side`),
    least: LEAST_DISC_CM,
  },
  roundOf: {
    of: 'length',
    says: 'Roll each ball to a circle, 12 cm.',
    fact: 'disc-cm',
    before: before(
      String.raw`\b(?:${ROUND}|saucers?)\b(?:,| of| to| about| around| measuring| each| that are| which are| no (?:bigger|larger) than)*`,
    ),
    least: LEAST_DISC_CM,
  },
  diameter: {
    of: 'length',
    says: 'Roll each to a diameter of 12 cm.',
    fact: 'disc-cm',
    before: before(String.raw`\b(?:diameter|width)(?: of| is|:)?|\bmeasur(?:e|es|ing)`),
    least: LEAST_DISC_CM,
  },
  rolledWide: {
    of: 'length',
    says: 'Stretch each ball to 15 cm.',
    fact: 'disc-cm',
    before: before(
      String.raw`\b(?:roll(?:s|ed|ing)?|press(?:ed)?|pat|flatten(?:ed)?|stretch(?:ed)?)\b[^.;]{0,50}?\b(?:to|into|until|till|about)(?: (?:it|they|each) (?:is|are|measures?))?(?: an?)?`,
    ),
    least: LEAST_DISC_CM,
  },
  rolled: {
    of: 'length',
    says: 'Roll out really thin, about 30 cm.',
    fact: 'disc-cm',
    before: before(String.raw`\b(?:roll(?:ed)?|press|pat|flatten)\b(?:,? [a-zß-öø-ɏ]+){0,6}`),
    after: after(String.raw`(?=$|[.,;()]|(?:fill|and|then|put|very|between|with)\b)`),
    least: LEAST_DISC_CM,
  },
  rolledThin: {
    of: 'length',
    says: 'Roll out to 3 mm.',
    fact: 'thickness-mm',
    before: before(String.raw`\b(?:roll(?:s|ed|ing)?|flatten(?:ed)?|press(?:ed)?|pat)\b[^.;]{0,60}`),
    // A dough two centimetres thick is none.
    most: 1.5,
  },
  oneOfRound: {
    of: 'length',
    says: 'Cut rounds (2 mm).',
    fact: 'thickness-mm',
    before: before(String.raw`\b${ROUND}\b`),
    most: 1,
  },

  ...WEIGHTS_AND_SPOONS,
} as const satisfies Readonly<Record<string, Size>>
