// What is stirred together to seal and to thicken, brought to one form before a line is taken apart.

const STARCH_IN_WATER =
  /^(.*\b(?:cornflour|cornstarch|starch|arrowroot|potato flour)),? (?:in|into) ((?:a little|some|a bit of|a splash of|\d[\d./]*\s?[a-zß-öø-ɏ]+(?: of)?) (?:cold |warm )?(?:water|milk|stock))$/i

const FLOURED = String.raw`(\d[^()+&]*?(?:flour|maida|atta|starch))\s*(?:\+|and|&|mixed with|in|,)\s*((?:\d[^()]*|a little |some )?(?:warm |cold )?water)`
const PASTE_OF = new RegExp(
  String.raw`^(?:an? )?(?:[a-z]+ )?(?:flour|maida|atta|cornflour|starch) (?:paste|slurry|glue)\s*\(${FLOURED}\)\W*$|^(?:an? )?paste (?:of|from|made (?:of|from)) ${FLOURED}\W*$`,
  'i',
)
/** Of a chilli that is counted the paste behind it holds none: "2 green chillies, ginger garlic paste". */
const POUNDED = String.raw`((?:green |red |fresh )?chill?i(?:e?s)?|ginger|garlic)`
const POUNDED_WITH = '(?:,? (?:and|&) |[ ,/-]+)'
const CHILLI_PASTE = new RegExp(
  String.raw`(?<![a-zß-öø-ɏ])(?<!\b(?:\d{1,2}|an?|one|two|three|four) (?:(?:small|large|medium|green|red|fresh|chopped) )*)${POUNDED}${POUNDED_WITH}${POUNDED}(?:${POUNDED_WITH}${POUNDED})?[ -]paste\b`,
  'gi',
)
/** "Green chilli ginger paste": of both, and no garlic in it. In a list of several it is told where it stands alone. */
export const withChilliPaste = (line: string): string =>
  line.replace(CHILLI_PASTE, (whole: string, ...found: unknown[]) => {
    const at = found.at(-2) as number
    const names = (found.slice(0, 3) as (string | undefined)[]).flatMap((name) =>
      name ? [/^chill/i.test(name) ? `green ${name}` : name] : [],
    )
    const isListed = /[,;]/.test(line.slice(0, at)) || /[,;]/.test(line.slice(at + whole.length))
    return /chill/i.test(whole) && !isListed
      ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)!} paste`
      : whole
  })
/**
 * A line with its paste, slurry or brine told by what it is made of: "1 tbsp flour + water paste" becomes "1 tbsp flour,
 * to seal (a paste with water)", "1 tbsp cornflour in 2 tbsp water" becomes "1 tbsp cornflour mixed with 2 tbsp water".
 *
 * @param line an ingredient line
 */
export const withPlainPastes = (line: string): string =>
  line
    // "Flour paste (2 tbsp flour + water)", "paste of 2 tbsp flour and water": what seals.
    .replace(
      PASTE_OF,
      (_whole, bracketed?: string, itsWater?: string, plain?: string, plainWater?: string) => {
        const [flour, water] = [bracketed ?? plain!, itsWater ?? plainWater!]
        return /\d/.test(water) ? `${flour} + ${water} (paste to seal)` : `${flour} + water paste to seal`
      },
    )
    // "Curry powder mixed to a paste with water": as much water as it takes, which boils off.
    .replace(
      /(?<!flour|starch|maida|atta),?\s+(?:mixed|made|blended|stirred|turned) (?:in)?to an? (?:(?:thick|thin|smooth|loose|runny) )?paste(?: with (?:(?:a little|a bit of|some|enough|a splash of) )?(?:(?:cold|warm|hot) )?water)?(?=$|,)/i,
      ', as a paste',
    )
    // "2 tbsp flour + 3 tbsp water (paste for sealing)".
    .replace(
      /(?<=\bwater)[\s,(–-]+(?:a )?(?:thick )?(?:paste|slurry|glue)\b[^()]*\b(?:seal|stick|clos|edges)[^()]*\)?$/i,
      ', to seal',
    )
    // "1 tbsp flour mixed with 2 tbsp water (paste)": of flour it is no sauce.
    .replace(
      /^(?<flour>.*\b(?:flour|maida|atta)\b.*\d.*\bwater)[\s,(–-]+(?:as |for )?(?:an? )?(?:thick )?(?:paste|glue)\)?$/i,
      '$<flour>, to seal',
    )
    // "1 tbsp cornflour in a little water": a slurry of both.
    .replace(STARCH_IN_WATER, '$1 mixed with $2')
    // "200 ml warm brine (2 tsp salt)": water with the salt that stands in the bracket.
    .replace(/^(\d.*?)\bbrine\s*\((\d[^()]*\bsalt)\b[^()]*\)/i, '$1water + $2')
    // "Flour paste to seal (1 tbsp flour + water)": what it is made of stands in the bracket.
    .replace(
      /^(?:[a-zß-öø-ɏ]+ )?(?:paste|slurry|glue) (?:to|for) (?:seal|stick|clos)[a-zß-öø-ɏ]*\s*\((\d[^()]*flour|\d[^()]*maida|\d[^()]*starch) (?:\+|and|&|mixed with|in) (?:a little |some )?water\)$/i,
      '$1 + water paste to seal',
    )
    // "Maida paste to stick".
    .replace(
      /^(?:a (?:little|thick) |some |thick )?(maida|flour|atta|cornflour|cornstarch)(?: (?:and|\+|&) water)? (?:paste|slurry|glue)(?:,? (?:to|for) (?:stick|seal|glue|clos)[a-zß-öø-ɏ]*)?$/i,
      '$1, to seal (a paste with water)',
    )
    // "1 tbsp flour + water paste": of the water nothing is left.
    .replace(
      /^(.*\d.*(?:flour|maida|cornflour|cornstarch)) (?:\+|and|&|mixed with|mixed in) (?:a little |some |a bit of )?water(?:,? (?:to|into|as|for) (?:an? )?(?:make (?:an? )?)?)? ?(?:thick )?(?:paste|slurry|glue)\b.*$/i,
      '$1, to seal (a paste with water)',
    )
