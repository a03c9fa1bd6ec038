/** A value as the protocol writes it, as far as Sorn keeps such. */
type WireValue =
  | { type: 'null' }
  | { type: 'integer'; value: string }
  | { type: 'float'; value: number }
  | { type: 'text'; value: string };

/** A row as plain values. */
export type PlainRow = (string | number | null)[];

/**
 * Asks a shared store by the bare protocol (Hrana 2 over HTTP): no library comes between, so that what a library takes for
 * granted shows.
 *
 * @throws Error with what the store answered, where that is no result
 */
export async function askStore(
  { url, token }: { url: string; token?: string },
  sql: string,
  args: readonly string[] = [],
): Promise<PlainRow[]> {
  const response = await fetch(`${url}/v2/pipeline`, {
    method: 'POST',
    headers: {
      'content-type': 'application/json',
      ...(token !== undefined && { authorization: `Bearer ${token}` }),
    },
    body: JSON.stringify({
      baton: null,
      requests: [
        {
          type: 'execute',
          stmt: { sql, args: args.map((value) => ({ type: 'text', value })), want_rows: true },
        },
        { type: 'close' },
      ],
    }),
  });
  if (!response.ok) throw new Error(`${response.status}: ${await response.text()}`);
  const { results } = (await response.json()) as {
    results: {
      type: string;
      error?: { message: string };
      response: { result: { rows: WireValue[][] } };
    }[];
  };
  const [first] = results;
  if (first?.type !== 'ok') throw new Error(first?.error?.message ?? 'no result');
  return first.response.result.rows.map((row) => row.map(plain));
}

function plain(value: WireValue): string | number | null {
  if (value.type === 'null') return null;
  return value.type === 'integer' ? Number(value.value) : value.value;
}
