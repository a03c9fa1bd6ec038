// What the command line needs of the server: the database, and backups of it.
export { BadBackup, readBackup } from './backup/archive.ts';
export { backupsOf, type Restoring } from './backup/backups.ts';
export { backupFolder, writeWhole } from './backup/folder.ts';
export { ownDatabase } from './options.ts';
export { openDatabase } from './storage/open.ts';
export { databaseCode } from './storage/database-code.ts';
