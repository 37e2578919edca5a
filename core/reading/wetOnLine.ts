// What a line says its food was boiled, soaked or mixed in: no line of its own.

/** "Butter, to brush (2 tbsp melted with a clove of garlic)": what is in it is used as it is. */
export const WITH_INSIDE =
  /^(.*\S)\s*\((\d[^()]*?)\s+(?:melted|softened|mixed|beaten|whisked|warmed|infused) with (an? [^()\d]+)\)\s*$/i

/** "1 cup lentils, cooked in 3 cups broth until soft, drained": what they were boiled in is poured away. */
export const BOILED_AND_DRAINED =
  /^(.+?),?\s+(?:boiled|cooked|simmered) (?:[a-zß-öø-ɏ]+ )?in (?:plenty of |lots of |salted |\d[^,]*?|[¼½¾][^,]*?)?(?:water|stock|broth)\b(?:[^,]*),?\s*(?:and |then )?(?:drained|strained)\b[^,]*(?:,\s+(\S.*))?$/i

/** "50 g bulgur, soaked in hot water": as much as it takes up. */
export const SOAKED_IN_WATER =
  /^(.+?),?\s+(?:soaked|rehydrated) in (?:some |a little |enough )?(?:(?:hot|boiling|warm|cold|tepid) )?water\b(?! *\d).*$/i

/** "1 onion, chopped & boiled with the potatoes": what is listed elsewhere is in the same pot. */
export const DONE_WITH_THE =
  /^[^,;]{3,40},?\s+(?:[a-zß-öø-ɏ]+(?:,| and| &) )*(?:boiled|cooked|roasted|steamed|fried|simmered|mashed|minced) (?:along )?with (?:the|your) [a-zß-öø-ɏ]+$/i
