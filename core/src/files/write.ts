import { stringify as tomlOf } from 'smol-toml';
import { stringify as yamlOf } from 'yaml';
import type { Format } from './format.ts';

/** Lists and objects with this many letters at most stand on one line of YAML. */
const ONE_LINE = 100;

/** A value of a file as text in a format, with a newline at its end. Read again it is the same value. */
export function writeText(value: object, format: Format): string {
  if (format === 'json') return `${JSON.stringify(value, null, 2)}\n`;
  if (format === 'toml') return `${tomlOf(value)}\n`;
  return yamlOf(value, { lineWidth: ONE_LINE, aliasDuplicateObjects: false });
}
