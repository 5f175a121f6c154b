/* What the command line needs to keep a shop's data: no server is started for it. */
export { backUp } from './backup.ts';
export { restoreBackup, type Restored } from './restore.ts';
export { packShop, type PackedShop } from './packShop.ts';
export { unpackShop } from './unpackShop.ts';
export { relearnDatabase } from './relearnDatabase.ts';
export { CannotOpen } from '../store/cannotOpen.ts';
