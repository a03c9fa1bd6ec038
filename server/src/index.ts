// What the command line needs of the server: the database, and backups of it.
export { openArchive } from './backup/archive.ts';
export { BadBackup } from './backup/bad-backup.ts';
export { putInPlace } from './backup/folder.ts';
export { compareBackup, makeBackup, restoreBackup, type Where } from './backup/work.ts';
export { databaseFile, ownDatabase } from './options.ts';
export { openConnection } from './storage/connection.ts';
export { databaseCode } from './storage/database-code.ts';
export { BadDatabase, openDatabase } from './storage/open.ts';
