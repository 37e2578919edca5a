// What is said round the name of a dish: greetings, promises, whose it is, and where it was eaten.

const WHO = String.raw`(?:i|we|you|(?:my|our) (?:own )?[a-zß-öø-ɏ]+|mum|mom|nan|nana|gran[a-zß-öø-ɏ]*|dad|auntie)`
const MAKES = '(?:makes?|made|do|does|did|cooks?|bakes?|prepares?)'
const MARK = String.raw`(?:\s*[,.:;!–—]+\s*|\s+-\s+)`
const GAP = String.raw`(?:${MARK}|\s+)`

/** What may stand in front, again and again. */
const LEADS: readonly RegExp[] = [
  // "Hi girls", "Dear all,", "Hello Ana,"
  String.raw`(?:hi|hello|hey|dear|namaste|welcome|what['’]?s up|good (?:morning|evening))(?: (?:there|all|everyone|everybody|friends|girls|guys|folks|both|[a-zß-öø-ɏ]+(?=${MARK})))?(?:${GAP}|$)`,
  // "So", "as promised", "here goes"; "right" and "today" only where talk goes on.
  String.raw`(?:so|ok|okay|and|um|anyway|basically|here (?:goes|you (?:go|are)|(?:it|they) (?:is|are))|as (?:promised|requested|you asked)|by (?:popular )?request|on request|finally|for (?:those|everyone|anyone) who asked)(?: (?:all|everyone|friends|girls|guys|folks))?${GAP}`,
  String.raw`(?:right|well|now|today|tonight|also|yesterday|last (?:night|week|weekend|[a-z]+day)|this (?:morning|weekend|week)|the other day|at the weekend)(?:${MARK}|\s+(?=(?:so|im|i|we|let['’]?s|here|this|it['’]?s|my|the|making|for)\b))`,
  // "Tonight's dinner:", "Recipe card —"
  String.raw`(?:(?:tonight|today|[a-zß-öø-ɏ]+day)['’]?s?(?: (?:dinner|tea|supper|lunch|bake|recipe))?|recipe(?: card| of the (?:day|week))?|subject|re|title|dish|name|comment|post|caption)\s*[:—–]\s*`,
  // "Today we are making", "my mum makes", "I promised you", "you asked how I make"
  String.raw`(?:${WHO}(?:['’](?:m|re|ll|d|ve))?|im|were)(?: am| are| will| have| would)?(?: (?:always|usually|just|also|finally|like to|love to))?(?: be)? (?:making|going to (?:make|share)|gonna make|(?:going to|gonna|will) (?:show|tell|teach) (?:you|everyone)(?= how)|cooking|preparing|sharing|showing|doing|posting|sending|${MAKES}|promised|wanted|share|post|send|asked (?:me )?(?:for|how ${WHO} ${MAKES})) (?:you |everyone |everybody |all )?`,
  String.raw`let['’]?s make |how (?:to|do (?:you|i|we)) (?:make|cook|do) |how ${WHO} (?:always |usually )?${MAKES} |what ${WHO} (?:always |usually )?${MAKES} (?:for|with) `,
  String.raw`(?:here|this|these|that|those|it)(?:['’]?s| is| are|['’]re| was) (?:for )?`,
  // "Made pasties last night!"
  String.raw`ma[dk]e (?=[^.,:;\d]{3,40}\s(?:yesterday|last|today|tonight|this|again|for (?:dinner|lunch|tea|supper|the first time))\b)`,
  // "For pasties I always do this".
  String.raw`(?:for|to make) (?=[^.,:;\d]{3,60}\s(?:i|we|you) (?:always |usually |just )?(?:do|make|use|need|take)\b)`,
  String.raw`(?:making|sending|posting|sharing|thought (?:i|we)(?:['’]d| would) share) (?:you |everyone |all )?`,
  String.raw`(?:the |my |our |an? |this |(?:[a-zß-öø-ɏ]+ ){1,3}?[a-zß-öø-ɏ]+['’]s |[a-zß-öø-ɏ]+['’]s )?(?:[a-zß-öø-ɏ]+ )?recipe for (?!\d)`,
].map((lead) => new RegExp(`^(?:${lead})`, 'i'))
/** What leads only in speech, where no row has named the dish: "for the empanadas I do three cups …". */
const SPOKEN_LEAD = /^(?:for|to make|(?:when|whenever|if) (?:i|we|you) make) /i
/** "My sister in law's lentil fatayer": whose it is goes with the talk. */
const WHOSE =
  /^(?:the|my|our|some|an?|your|his|her|their|these)\s+(?:(?:[a-zß-öø-ɏ]+[ -]){0,4}(?!(?:it|that|what|here|there)['’])[a-zß-öø-ɏ]+['’]s )?/i

/** What comes behind a name by itself says that it was talk: "as promised", "that I brought on Friday". */
const TAIL = new RegExp(
  String.raw`${GAP}(?:(?:(?:that|which|like|as) )?(?:i|we|you|they|she|he|people|everyone|some of you) (?:[a-zß-öø-ɏ]+ )?(?:brought|made|make|liked?|had|asked|wanted|promised|told|took|served|loved?)\b|as (?:promised|requested|you asked|asked)\b|so here\b|again (?:tonight|today|this)\b|(?:last (?:night|week|weekend)|yesterday|today|tonight|this (?:morning|weekend)|at the weekend|on (?:mon|tues|wednes|thurs|fri|satur|sun)day)\b|for (?:dinner|lunch|tea|supper|the first time)\b|enjoy\b|hope you\b).*$`,
  'i',
)
/** Where the name ends once it is known that somebody talks. */
const GOES_ON = new RegExp(
  String.raw`${MARK}(?![a-zß-öø-ɏ]+(?: (?:and|&|or) [a-zß-öø-ɏ]+)* (?:and|&|or)\b)(?=.).*$|\s+(?:(?:i|you|we|they|it|it['’]s|that|which|because|so|this is|like (?:i|we|my|our|you)|again|from (?:my|our|the|an?|memory)|(?:my|our) [a-zß-öø-ɏ]+['’]s recipe|the way (?:i|we|my|our|you|she|he)|at home|as|what|how|and (?:you|i|we|it)|for you)\b).*$`,
  'i',
)
/** Where somebody who tells a recipe in one breath goes over from its name to what is needed. */
const NEEDS =
  /\s+(?:(?:you|i|we|it|they|that|take|mix|use|first|start|makes?|serves|for|with the|the (?:dough|filling|pastry)|get|buy)\b|\d).*$/i
/** A part of a dish, or no name at all. */
const NO_DISH =
  /\b(?:dough|filling|pastry|stuffing|wrappers?|skins?|sauce|dip|topping|glaze|crust|casing|base|ingredients|method)$|^(?:what|how|it|all|when|where|which|this|that|everything|one|lot|these.*|those.*|them.*|every .*|[a-zß-öø-ɏ]+ing|[a-zß-öø-ɏ])$/i

/** A name as it begins a line. */
export const capital = (name: string) => name.charAt(0).toUpperCase() + name.slice(1)

/** The first of the leads only greet or take a breath: behind them anything may follow. */
const BREATHS = 3

/** A text without the talk that it begins with; whether that was any, and whether it says that a name follows. */
function withoutLead(text: string): { rest: string; talks: boolean; names: boolean } {
  let rest = text
  let names = false
  for (let found = true; found;) {
    found = false
    for (const [at, lead] of LEADS.entries()) {
      const said = lead.exec(rest)?.[0]
      if (!said) continue
      rest = rest.slice(said.length)
      found = true
      names ||= at >= BREATHS
    }
  }
  return { rest, talks: rest !== text, names }
}

/** A title without the talk round it: "Hi girls, here is the recipe for the leek pies I brought" is "Leek pies". */
export function withoutTalk(title: string): string {
  const asked = /^.*\b(?:shar(?:e|ing)|post(?:ing)?|asked for|wanted|sent)\b[^.]*?\b(?=recipe for (?!\d))/i
  // "My keto empanada thing".
  const thing = title.replace(/^(?:my|our|the|this|that) (.{3,40}?) things?$/i, '$1')
  if (thing !== title) return capital(thing)
  const { rest, talks } = withoutLead(title.replace(asked, ''))
  const named = rest.replace(TAIL, '')
  if (!talks && named === title) return title
  const bare = named.replace(WHOSE, '')
  const name = (talks ? bare.replace(GOES_ON, '') : bare)
    .replace(/(?<=[a-zß-öø-ɏ]{3}) recipe$/i, '')
    .replace(talks ? /[\s,.:;!?–-]+$/ : /[\s,.:;!–-]+$/, '')
  // A greeting and nothing else names no dish.
  if (!name && talks) return ''
  return /\p{L}{3}/u.test(name) ? capital(name) : title
}

const TAKES_BACK =
  /^[^.:\d]{3,60}?[\s,–-]+(?:no,? (?:sorry|wait)|sorry,? (?:no|i mean|i meant)|i mean|i meant|or rather)[\s,]+(?=[a-zß-öø-ɏ])/i

/**
 * What is made, where a recipe begins by saying so in passing: "so for the empanadas I do three cups of flour".
 *
 * @param opening its first words
 * @param isPiece whether a name ends in what a piece is called
 */
export function spokenName(opening: string, isPiece: (name: string) => boolean): string | null {
  const { rest, names } = withoutLead(opening)
  const spoken = rest.replace(SPOKEN_LEAD, '')
  // "Stuffed chilli paratha no sorry stuffed radish paratha".
  const said = spoken.replace(WHOSE, '').replace(TAKES_BACK, '')
  const cut = said.replace(TAIL, '').replace(NEEDS, '').replace(GOES_ON, '')
  const name = cut
    .replace(
      /(?:,?\s+(?:ok|okay|right|alright|so|yeah|guys|everyone|folks|today|like this|this way))+\W*$/i,
      '',
    )
    .replace(/(?<=[a-zß-öø-ɏ]{3}) (?:recipe|things?)$/i, '')
    // "I made dumplings with 300 g pork".
    .replace(/\s+(?:with|of|from|using|out of)$/i, '')
    .replace(/[\s,.:;!–-]+$/, '')
  const words = name.split(/\s+/).length
  const ends = cut !== said || /:$/.test(said)
  if (!ends || words > 7 || !/\p{L}{3}/u.test(name) || NO_DISH.test(name)) return null
  return (names && spoken === rest) || isPiece(name) ? capital(name) : null
}
