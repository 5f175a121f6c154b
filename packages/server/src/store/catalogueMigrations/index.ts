import { Catalogue001Schema } from './Catalogue001Schema.ts';

/** All migrations of a catalogue’s file, oldest first. */
export const CATALOGUE_MIGRATIONS = [Catalogue001Schema];
