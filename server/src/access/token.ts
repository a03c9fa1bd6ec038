import { randomBytes } from 'node:crypto';
import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';

const LEAST = 16;

/**
 * The token that people log in with, from its file; a new one where the file is not there.
 * @throws Error with a message for the person
 */
export function tokenIn(file: string): string {
  try {
    const token = randomBytes(24).toString('base64url');
    mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
    writeFileSync(file, `${token}\n`, { flag: 'wx', mode: 0o600 });
    return token;
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    if (code !== 'EEXIST') throw new Error(`--token-file ${file}: ${message}`, { cause: error });
  }
  const { mode } = statSync(file);
  if ((mode & 0o077) !== 0)
    throw new Error(
      `--token-file ${file} can be read by others than you. Make it yours alone: chmod 600 ${file}`,
    );
  const token = readFileSync(file, 'utf8').trim();
  if (token.length < LEAST || /\s/.test(token))
    throw new Error(
      `--token-file ${file}: expected one line of at least ${LEAST} characters without spaces; delete the file for a new one`,
    );
  return token;
}
