import type { SheetTexts } from '../en/en.ts';
import { always } from './always.ts';
import { cautions } from './cautions.ts';
import { check } from './check.ts';
import { checks } from './checks.ts';
import { face } from './face.ts';
import { frame } from './frame.ts';
import { noPart } from './noPart.ts';
import { parts } from './parts.ts';
import { prove } from './prove.ts';
import { quote } from './quote.ts';
import { snap } from './snap.ts';
import { stop } from './stop.ts';
import { ways } from './ways.ts';
import { work } from './work.ts';

/** German. */
export const de: SheetTexts = {
  face,
  frame,
  parts,
  work,
  checks,
  cautions,
  snap,
  always,
  prove,
  check,
  noPart,
  stop,
  ways,
  quote,
};
