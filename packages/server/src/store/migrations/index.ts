import { Migration001Schema } from './Migration001Schema.ts';
import { Migration002Catalogue } from './Migration002Catalogue.ts';
import { Migration003PartMoney } from './Migration003PartMoney.ts';
import { Migration004ShopHistory } from './Migration004ShopHistory.ts';
import { Migration005Search } from './Migration005Search.ts';
import { Migration006Sale } from './Migration006Sale.ts';
import { Migration007People } from './Migration007People.ts';
import { Migration008Ledger } from './Migration008Ledger.ts';
import { Migration009Practice } from './Migration009Practice.ts';
import { Migration010Whole } from './Migration010Whole.ts';

/** All migrations, oldest first. Listed by hand so that no folder is scanned at start. */
export const MIGRATIONS = [
  Migration001Schema,
  Migration002Catalogue,
  Migration003PartMoney,
  Migration004ShopHistory,
  Migration005Search,
  Migration006Sale,
  Migration007People,
  Migration008Ledger,
  Migration009Practice,
  Migration010Whole,
];
