/** Letters of scripts that this reader has no words of, by name. */
const SCRIPTS: readonly [string, RegExp][] = [
  ['Cyrillic', /\p{Script=Cyrillic}/u],
  ['Greek', /\p{Script=Greek}{2}/u],
  ['Hebrew', /\p{Script=Hebrew}/u],
  ['Arabic', /\p{Script=Arabic}/u],
  ['Devanagari', /\p{Script=Devanagari}/u],
  ['Bengali', /\p{Script=Bengali}/u],
  ['Gurmukhi', /\p{Script=Gurmukhi}/u],
  ['Gujarati', /\p{Script=Gujarati}/u],
  ['Tamil', /\p{Script=Tamil}/u],
  ['Telugu', /\p{Script=Telugu}/u],
  ['Thai', /\p{Script=Thai}/u],
  ['Georgian', /\p{Script=Georgian}/u],
  ['Armenian', /\p{Script=Armenian}/u],
  ['Korean', /\p{Script=Hangul}/u],
  ['Japanese', /[\p{Script=Hiragana}\p{Script=Katakana}]/u],
  ['Chinese', /\p{Script=Han}/u],
]

/**
 * Words that stand in recipes of a language and in no English one, from memory: those of the kitchen, of which one
 * is enough, and small words, of which it takes two.
 */
const WORDS: readonly [string, string, string][] = [
  [
    'German',
    'mehl weizenmehl zucker salz prise esslöffel teelöffel butterschmalz hefe wasser milch sahne ei eier eigelb zwiebel zwiebeln knoblauch knoblauchzehe kartoffel kartoffeln hackfleisch rindfleisch schweinefleisch käse pfeffer teig füllung öl zubereitung zutaten backen ofen vorheizen gehackt gerieben pilze kohl möhren',
    'und mit der das den ein eine einer für bis oder auf aus nach etwas el tl',
  ],
  [
    'French',
    'farine beurre sucre sel eau lait oeuf oeufs œuf œufs jaune huile levure cuillère cuillères soupe pincée oignon oignons ail gousse pomme fromage poivre viande hachée boeuf bœuf poulet jambon champignons pâte garniture préchauffer cuire préparation épinards',
    'de du des la le les et avec une un pour dans à ou',
  ],
  [
    'Spanish',
    'harina mantequilla azúcar azucar sal agua leche huevo huevos yema aceite levadura cucharada cucharadas cucharadita cucharaditas pizca taza tazas cebolla cebollas ajo dientes patata patatas papas carne picada molida pollo jamón pimienta masa relleno horno hornear espinacas aceitunas comino perejil',
    'de del la el los las y con una un para en al hasta',
  ],
  [
    'Italian',
    'farina burro zucchero sale acqua latte uovo uova tuorlo olio lievito cucchiaio cucchiai cucchiaino cucchiaini pizzico cipolla cipolle aglio spicchio patate carne macinata formaggio pepe impasto ripieno forno cuocere spinaci funghi prezzemolo',
    'di del della il lo la gli con una un al qb',
  ],
  [
    'Portuguese',
    'farinha manteiga açúcar água leite ovo ovos gema óleo azeite fermento colher colheres xícara xícaras pitada cebola cebolas alho dentes batata batatas frango queijo pimenta recheio forno assar',
    'de da os com uma um para em ao ou até sopa chá',
  ],
  [
    'Polish',
    'mąka mąki masło masła cukier cukru sól soli woda wody mleko mleka jajko jajka olej oleju drożdże drożdży łyżka łyżki łyżeczka łyżeczki szczypta szklanka szklanki cebula cebule cebuli czosnek czosnku ziemniaki ziemniaków ser sera twaróg twarogu pieprz pieprzu ciasto farsz nadzienie piec kapusta kapusty mięso mięsa',
    'z ze na oraz lub',
  ],
  [
    'Dutch',
    'bloem boter suiker zout melk eieren gist eetlepel eetlepels theelepel theelepels snufje ui uien knoflook teentje aardappelen gehakt kaas deeg vulling bakken',
    'en met de het een voor van tot',
  ],
  [
    'Turkish',
    'unu tereyağı şeker tuz süt yumurta sıvı yağ kaşığı bardağı tutam soğan sarımsak patates kıyma peynir karabiber hamur',
    've ile bir için su çay yemek',
  ],
]
const KITCHEN = new Map<string, string[]>()
const SMALL = new Map<string, string[]>()
for (const [language, kitchen, small] of WORDS) {
  for (const [words, map] of [
    [kitchen, KITCHEN],
    [small, SMALL],
  ] as const)
    for (const word of words.split(' ')) map.set(word, [...(map.get(word) ?? []), language])
}

/**
 * What words seem to be when they are not English: "looks like German", "is in Devanagari letters". A guess from the
 * words alone, to be asked only where no food was found.
 *
 * @returns null when nothing speaks for another language
 */
export function otherLanguage(text: string): string | null {
  const script = SCRIPTS.find(([, letters]) => letters.test(text))
  if (script) return `is in ${script[0]} letters`
  const votes = new Map<string, number>()
  for (const word of text
    .toLowerCase()
    .normalize('NFC')
    .match(/\p{L}+/gu) ?? []) {
    for (const language of KITCHEN.get(word) ?? []) votes.set(language, (votes.get(language) ?? 0) + 2)
    for (const language of SMALL.get(word) ?? []) votes.set(language, (votes.get(language) ?? 0) + 1)
  }
  const [best] = [...votes].sort((a, b) => b[1] - a[1])
  return best && best[1] >= 2 ? `looks like ${best[0]}` : null
}
