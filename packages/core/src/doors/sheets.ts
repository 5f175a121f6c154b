/* What the pages that leave the counter need: the texts in every language, and how a sheet is told. */
export { tell, tellSheet, type Teller, type ToldSheet } from '../handover/tellSheet.ts';
export { LANGUAGE_CODES, languageOf, type LanguageCode } from '../handover/texts/languages.ts';
export { HOUSE_WAY_NAMES, HOUSE_WAYS, type HouseWay } from '../vocabulary/houseWays.ts';
