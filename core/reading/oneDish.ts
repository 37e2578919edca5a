// Where a title says that there is one: one large pie, one tray, one for whoever eats alone.

const TRAY = String.raw`(?:makes )?(?:one|1|an?) (?:(?:large|big|small|deep|full|round|square) )*(?:\d{2} ?cm |\d{1,2}[- ]?inch )?(?:tray|tin|dish|baking tray|sheet pan|traybake)`
/** "Banitsa, 1 large tray": the end of a title that only counts. */
export const ONE_TRAY = new RegExp(String.raw`\s*[,;:–—-]\s*${TRAY}$`, 'i')
/** "One big pie", "Banitsa (1 tray)". */
export const ONE_LARGE = new RegExp(
  String.raw`[,;:(–—-]\s*${TRAY}\)?\W*$|\b(?:one|1) (?:big|large|whole|huge|giant)(?:\s+[a-zß-öø-ɏ]+|\s*\)?\W*$)|\((?:a )?(?:big|large|giant|huge) one\b`,
  'i',
)
/** "Calzone (single serve)". */
export const SINGLE_SERVE = /\bsingle[- ](?:serves?|servings?|portions?)\b/i
/** What is named so is one, and who eats alone eats one of it; nobody makes one dumpling. */
export const ONE_DISH =
  /\b(?:calzone|past[yi]e?|pie|pocket|turnover|parcel|bun|roll|paratha|wrap|strudel|stromboli|quesadilla|kulcha|naan)\W*$/i
