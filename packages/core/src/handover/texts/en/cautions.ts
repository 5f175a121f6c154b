export { CAUTION_IN_WORDS as cautions } from '../../../vocabulary/inWords.ts';
