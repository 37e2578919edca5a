// The words by which an instruction is told from an ingredient.

/** Words with which an instruction begins; "Dough: mix the flour" is a step. */
export const VERB =
  /^(?:then |now |first(?:ly)?,? |next,? |finally,? |to |gently |carefully |quickly |lightly )?(?:mix|knead|roll|bake|fry|deep|shallow|pan|air|steam|boil|cook|divide|cut|fold|seal|crimp|heat|preheat|pre-heat|combine|stir|whisk|rub|add|make|place|put|oven (?:at|to|on)|let|leave|rest|cover|brush|fill|serve|shape|form|microwave|unroll|bring|melt|cream(?! cheese| of)|pulse|process|blend|blitz|mash|soak|drain|squeeze|peel|chop|grate|slice|take|turn|set|chill|press|dust|prick|flatten|spoon|season|wash|char(?! ?siu)|toast|whizz|whip|strain|infuse|sprinkle|pour|simmer|saut[eé]|soften|sweat|brown|roast|toast|grill|poach|blanch|scramble|beat|sift|measure|warm|cool|wrap|stuff|pinch|pleat|gather|twist|line|grease|oil|flour|dip|drop|lower|lift|flip|keep|prove|proof|rise|punch|knock|assemble|repeat|remove|transfer|arrange|store(?![- ]bought)|freeze|enjoy|eat (?:warm|hot|cold|them|it|with|at)|devour|working|work (?:dough|pastry)|using|when|once|while|meanwhile|after|before|if|in a|on a|into a|(?:on|onto|in|into|to) (?:each|every) |with a|with the|with your|start|begin|lay|spread|scrape|weigh|use|try|do not|don't|dissolve|activate|scald|grind|crush|crumble|break|separate|reserve|set aside|allow|check|test|glaze|trim|score|snip|slit|stew|braise|pile|tuck|layer|dollop|smear|push|pat (?:the|it|them|dry|out|flat|down)|stretch|pull|drape|ladle|pop|chuck|throw|give|get|hold|tear|loosen|bash|scatter (?:the|over|it)|tip (?:the|in|out|it|onto)|bubble|toss|wilt|thicken|sear|baste|deglaze|reduce|marinate|dredge|crack|scoop|nestle|rinse|smash|pound|garnish with|enclose|join|moisten|dampen|wet (?:the|your)|paint|spritz|spray (?:the|with|them|it|a|both|tops?|pan|tray)|slide|ease|invert|shake|rotate|increase|continue|proceed|finish (?:with|by|off)|top (?:with|each|it|them|the)|coat (?:the|with|each|them|it|in)|fork the|shred (?:the|it|them)|flake (?:the|it|them)|insert|position|run (?:a|your|the)|discard|adjust|refrigerate|stack|portion (?:the|it|into|out)|pipe|poke|pierce|re-?roll|sandwich (?:the|them|two)|swirl|tilt|unwrap|uncover|unfold|bubble|braid|plait|stand (?:them|it|upright)|quarter (?:the|each|it)|halve (?:the|each|it)|you|i |we )\b/i

/** Verbs of the work that no food and no amount begins with, and those that are work only with what they are done to. */
const WORKS =
  /^(?:then |now |first(?:ly)?,? |next,? |finally,? |to |gently |carefully |quickly |lightly |firmly |loosely )?(?:(?:close|distribute|secure|encase|apply|attach|submerge|wait|watch|carry on|deflate|decorate|elongate|expel|fasten|incorporate|liquidi[sz]e|neaten|overlap|perforate|plunge|raise|reheat|release|replace|re-?shape|return|slather|straighten|tie|trace|unmou?ld|unfurl|weave|wind|wipe|broil|crease|even out|hollow out|rewarm|settle|shut|stab|sweep|dump|upend|plonk|plop|hang|bend|repair|rub in|grab|bloom)\b(?! ?[:-])|(?:prepare|smooth|cent(?:re|er)|coil|curl|draw|fit|follow|mark|move|mou?ld|share|slip|split|stop|tap|thin|tidy|save|feed|empty|open|bind|level|clean|clear|catch|string|stand|spin|swap|offer|double|collect|spear|steady|tease|flick|force)(?= (?:the|it|them|a|your|each|every|both|everything|some|any|this|these|out|over|off|up|down|in|into|back|between|from|around|with|half|one|all|another|edges?|ends?|corners?|tops?|dough|pastry|filling|balls?|circles?|pieces?)\b))/i

/** Verbs that are as often a food, a cut or an amount: with what is worked on behind them they are work. */
const NOUN_VERBS =
  'skin|core|stone|pit|bone|debone|fillet|joint|top and tail|shell|pod|hull|zest|juice|dice|cube|mince|pur[ée]e|sieve|wring|dry|salt|dot|blacken|parboil|defrost|thaw|stamp|pick|strip|bloom|work|thread|taste|butter|hydrate|rehydrate|deseed|de-?stem|de-?stalk|nuke|carameli[sz]e|glug|bung|whack|stick|sling|lob|squish|squash|smoosh|scrunch|massage|plump|steep|temper|shuck|skim|degrease|slash|trickle|drizzle|hack|blot|mop|shred|slice|halve|quarter|grind|pat|tip|warm|brown|portion|pinch|scatter|flake|wet|coat|dip|oil|flour'
const WORKS_ON_WHAT = new RegExp(
  String.raw`^(?:then |now |first,? |next,? |finally,? )?(?:(?:finely|thinly|coarsely|roughly|very [a-zß-öø-ɏ]+ly|gently|lightly|quickly) )?(?:(?:${NOUN_VERBS}|chop|grate) (?:(?:the|it|them|your|each|every|both|everything|off|any)\b|all (?:the|of)\b)|(?:${NOUN_VERBS})\b[a-zß-öø-ɏ ,]* (?:finely|roughly|thinly|coarsely|together)\W*$|(?:parboil|defrost|thaw) [a-zß-öø-ɏ]|(?:${NOUN_VERBS}|chop|grate) [a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}(?:,| and| then| &) (?:then )?(?:mash|mix|fry|add|stir|combine|toss|sweat|saut[eé]|cook|boil|simmer|fold|blend|soften|put)(?: (?:it|them))? (?:with|in|into|the|to|until|till|through|everything|all|over|for)\b)`,
  'i',
)

/** "sprinkle of mixed herbs", "squeeze of lemon": an amount, not an instruction. */
const NOUN_AMOUNT =
  /^(?:a |good |big |small |little |generous )*(?:(?:sprinkle|sprinkling|squeeze|splash|drizzle|dash|pinch|grating|grind|twist|knob|dusting|scattering|oil|flour|dip|dips|brown|warm|cool)\s+(?:of\b|each of (?!the\b|them\b|these\b)|each (?:salt|pepper|sugar)\b|sugar\b|onions?\b|paste\b|slurry\b|rice\b|flour\b|water\b|milk\b|for\b|to (?:taste|serve|fry)\b|as\b|,|(?:about )?[\d¼½¾⅓⅔])|(?:mix|blend|cover|press|set|roll|rolls|slice|slices|line|pan)\s+of\b|pan (?:for|,))/i

/** "Rubbed in, chilled an hour", "browned the beef": work that is told of afterwards. */
const WAS_DONE =
  /^(?:then |i |we )?(?:rubbed|browned|rolled|fried|chilled|cooked|simmered|boiled|baked|rested|mixed|kneaded|stirred|cut|folded|sealed|filled|crimped|glazed|steamed|cooled|chopped|added|softened|brushed|proved|shaped|divided)\s+(?:it|them|in(?=\W*(?:$|,)| (?:the|a) )|out|for (?=\d|an?\b|half)|the|up|with|until|till|together|everything|all|into|over)(?![a-zß-öø-ɏ])/i

/** "Kneaded, wrapped, fridge 30": done to a dough, one thing after the other. */
const DONE_AND_DONE =
  /^(?:kneaded|rested|proved|shaped|sealed|crimped|glazed|wrapped|filled|baked)(?:,| and| &|\s*\+) (?:then )?(?:kneaded|rested?|wrapped|covered|chilled|cooled|proved|filled|shaped|sealed|crimped|glazed|baked|fried|steamed|fridge|in the fridge|left)\b/i
/** What leads from one thing that is done to the next. */
const LEADS_ON =
  "(?:and|so|okay|ok|right|then|now|next|first(?: of all)?|firstly|second(?:ly)?|thirdly|finally|lastly|after (?:that|this)|once (?:that|this)(?:['’]s| is) done|meanwhile|in the meantime|at this point|from here|just|simply|please|also|again|carefully)"
/** Who does it, and that it is done: "I always", "you'll want to", "let's". */
const WHO =
  "(?:(?:i|you|we)(?:['’](?:ll|d))?|let(?:['’]s| us)|what (?:i|you|we) do is|(?:the )?next (?:step|thing) is to|it(?:['’]s| is) time to|time to|all (?:i|you|we) do is|(?:make|be) sure to|go ahead and|(?:don['’]?t|do not) forget to|remember to|start by|begin by)"
const HOW_OFTEN =
  '(?:can|will|would|should|must|always|usually|normally|generally|often|then|now|just|also|simply|only|first|(?:am|are) going to|have to|need to|want to|like to|love to|tend to|prefer to|go ahead and)'
/** Who tells it, in front of the work: "and then I always". */
export const TOLD = new RegExp(
  String.raw`^\W*(?:${LEADS_ON}(?:[,:]\s*|\s+))*(?:${WHO}\s+(?:${HOW_OFTEN},?\s+)*)*`,
  'i',
)
/** Whether a text begins like an instruction rather than like an ingredient. */
export const startsLikeStep = (text: string): boolean => {
  if (works(text)) return true
  const lead = TOLD.exec(text)?.[0] ?? ''
  if (/\p{L}/u.test(lead) && works(text.slice(lead.length))) return true
  const of = OF_PART.exec(text)?.[0]
  return of !== undefined && works(text.slice(of.length))
}
/** "For the filling, fry an onion": what a sentence of work is for. Without a comma its verb has what is worked on. */
const OF_PART =
  /^\W*(?:(?:and|so|now|then|next|meanwhile),? )?for (?:the |your |our |my )(?:[a-zß-öø-ɏ]+ ){0,2}?(?:dough|pastry|filling|stuffing|crust|sauce|dip|topping|glaze|wash|syrup|base)(?:,\s+(?!(?:flour|oil|salt|water)\b)|\s+(?=(?:just |simply )?(?:[a-zß-öø-ɏ]+) (?:the|an?|your|some|one|two|three|four|five|six|eight|ten|half|\d+|together|everything)\b)(?!(?:flour|oil|salt|water|you|we|i|use|take|get)\b))/i

const HOW_IT_IS =
  '(?:(?:very|fairly|quite|rather|nice|really) )*(?:semi[- ]?)?(?:firm|soft|stiff|medium|med|smooth|tight|elastic|hard|pliable|loose|sticky|silky|shaggy)'
const WAITS = String.raw`(?:knead|rest|chill|cover|leave|prove|proof|rise|stand|fridge)\w*\b|\d ?min`
/** "Firm dough, rest 40 min", "dough med soft rest 20": how it is to be, and what is done with it. */
const HANDLES_DOUGH = new RegExp(
  String.raw`^(?:an? )?${HOW_IT_IS}(?:,? (?:and )?${HOW_IT_IS})* (?:dough|pastry)\b[\s,.;:–-]+(?:[^,;]{0,24}\b)?(?:${WAITS})|^(?:dough|pastry)\b[\s,:;–-]+(?:is )?${HOW_IT_IS}(?:,? (?:and )?${HOW_IT_IS})*(?:\W*$|[\s,.;]+(?:[^,;]{0,24}\b)?(?:${WAITS}))`,
  'i',
)
/** Whether a row says of a dough how it is and what is done with it, and heads nothing. */
export const handlesDough = (text: string): boolean => HANDLES_DOUGH.test(text)

const works = (text: string): boolean =>
  ((VERB.test(text) || WORKS.test(text) || WORKS_ON_WHAT.test(text)) && !NOUN_AMOUNT.test(text)) ||
  WAS_DONE.test(text) ||
  DONE_AND_DONE.test(text) ||
  handlesDough(text)
