/** Words whose ending makes another word of them: a bearing is no bear, what is cleaned was not found clean. */
const WHOLE = new Set(
  (
    'bearing bearings nothing anything something everything wiring steering reading readings warning warnings evening morning during ' +
    'fitting changing replacing renewing doing putting repairing fixing servicing working works worked ' +
    'opened opens opening cleaned cleans cleaning dried drying cleared clears clearing sounds sounded sounding ' +
    'cutting cuts needed needs lights brakes rings ringing ring spring string bring plays played playing moved moving ' +
    'left leaving lasted lasting wells goods ones backs sides fronts rears rights lefts does goes his this its was has is ' +
    'parts parted parting springs thing things wing wings king swing sling being red bed need speed feed seed weed indeed used uses using ' +
    'stopping stops stopped stop going goes went bare bar bars rare rate used based closed close closing loosened tightened charged charging turned turning turns started starting switched'
  ).split(/\s+/),
);

const VOWEL = /[aeiouy]/;

/** The stem of a word in its usual endings: drops, dropped and dropping are one word. Crude, and the same on both sides. */
export const stem = (word: string): string => {
  if (word.length < 4 || WHOLE.has(word) || !/^[a-z]+$/.test(word)) return word;
  const cut = (ending: string): string | null => {
    if (!word.endsWith(ending)) return null;
    const rest = word.slice(0, -ending.length);
    if (rest.length < 3 || !VOWEL.test(rest)) return null;
    return /([bdgklmnprt])\1$/.test(rest) ? rest.slice(0, -1) : rest;
  };
  const rest =
    (word.length > 5 ? cut('ing') : null) ??
    (word.length > 4 && !word.endsWith('eed') ? cut('ed') : null) ??
    (!/(ss|us|is)$/.test(word) ? cut('s') : null) ??
    word;
  return rest.length > 3 && rest.endsWith('e') ? rest.slice(0, -1) : rest;
};
