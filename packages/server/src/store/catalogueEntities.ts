import { CATALOGUE_TABLES, type CatalogueTable } from '@hardy/core';
import { defineEntity, p } from '@mikro-orm/core';

const BUILDERS = {
  string: () => p.string(),
  words: () => p.string(),
  json: () => p.text(),
  integer: () => p.integer(),
  float: () => p.float(),
  boolean: () => p.boolean(),
};

/** An entity with every column of a table of the catalogue, for the database's schema. */
const entityOf = <T>(table: CatalogueTable<T>) => {
  const properties: Record<string, unknown> = {};
  if (!table.identity.includes(table.unique ?? '')) properties.id = p.integer().primary().autoincrement();
  for (const { field, kept, nullable, otherwise, note } of table.columns) {
    const isKey = field === table.unique;
    const builder = BUILDERS[kept]();
    const isPlain =
      typeof otherwise === 'number' ||
      typeof otherwise === 'boolean' ||
      (typeof otherwise === 'string' && !nullable) ||
      (kept === 'json' && otherwise !== undefined);
    const value = kept === 'json' ? (Array.isArray(otherwise) ? '[]' : '{}') : otherwise;
    let made: unknown = builder;
    if (isKey) made = builder.primary();
    else if (nullable) made = note.indexed ? builder.nullable().index() : builder.nullable();
    else if (isPlain) made = builder.default(value as never);
    else if (note.indexed) made = builder.index();
    properties[field] = made;
  }
  for (const field of Object.keys(table.made)) {
    const builder = p.string().default('');
    properties[field] = field === table.unique ? builder.unique() : builder.index();
  }
  return defineEntity({
    name: `${table.name}_row`,
    tableName: table.name,
    indexes: table.together.map((fields) => ({ properties: [...fields] as never[] })),
    properties: properties as { id: ReturnType<typeof p.string> },
  });
};

export const CATALOGUE_ENTITIES = CATALOGUE_TABLES.map((table) => entityOf(table));
