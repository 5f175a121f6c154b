import { Catalogue001Schema } from './Catalogue001Schema.ts';
import { Catalogue002Sale } from './Catalogue002Sale.ts';

/** All migrations of a catalogue’s file, oldest first. */
export const CATALOGUE_MIGRATIONS = [Catalogue001Schema, Catalogue002Sale];
