/** The files of a catalogue folder, in the order they must be read: what is referred to comes first. */
export const CATALOGUE_FILES = [
  'vehicles.csv',
  'sensing.csv',
  'fleet.csv',
  'suppliers.csv',
  'parts.csv',
  'applications.csv',
  'jobs.csv',
  'companions.csv',
  'dictionary.csv',
] as const;
export type CatalogueFile = (typeof CATALOGUE_FILES)[number];
