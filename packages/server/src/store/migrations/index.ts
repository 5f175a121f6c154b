import { Migration001Schema } from './Migration001Schema.ts';

/** All migrations, oldest first. Listed by hand so that no folder is scanned at start. */
export const MIGRATIONS = [Migration001Schema];
