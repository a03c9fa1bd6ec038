/** The text formats that a file may be in. Each can say all of a profile. */
export const FORMATS = ['yaml', 'toml', 'json'] as const;
export type Format = (typeof FORMATS)[number];

export const FORMAT_NAMES: Record<Format, string> = { yaml: 'YAML', toml: 'TOML', json: 'JSON' };

/** The format that a file's ending tells; null where it tells none. */
export function formatOf(file: string): Format | null {
  const ending = /\.(json|ya?ml|toml)$/i.exec(file)?.[1]?.toLowerCase();
  if (ending === undefined) return null;
  return ending === 'yml' ? 'yaml' : (ending as Format);
}
