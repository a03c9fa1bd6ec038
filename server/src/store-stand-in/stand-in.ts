import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { setTimeout as pause } from 'node:timers/promises';
import { randomUUID } from 'node:crypto';
import { Streams, type PipelineAnswer, type PipelineRequest } from './streams.ts';

/** What goes wrong with a request: nothing, or at which moment of it. */
export type StoreFault =
  | 'none'
  /** It is refused with 500, before it was done or after. */
  | 'refused'
  | 'refused-after'
  /** The connection is cut, before it was done, after, or in the middle of the answer. */
  | 'cut'
  | 'cut-after'
  | 'cut-in-answer'
  /** It takes two seconds. */
  | 'slow';

export interface StandInOptions {
  /** The database that it keeps everything in. */
  file: string;
  /** 0 takes any free port. */
  port?: number;
  /** What has to be shown to be let in; nothing where left out. */
  token?: string;
  /** What goes wrong with the next request, by its body. */
  faultOf?: (body: string) => StoreFault;
}

export interface StoreStandIn {
  url: string;
  end: () => Promise<void>;
}

const SLOW_MS = 2_000;

/**
 * Stands in for a server of a shared store: speaks the open protocol of libSQL (Hrana 2 over HTTP) over a local database file,
 * on this machine alone, with faults where these are asked for.
 */
export async function startStoreStandIn(options: StandInOptions): Promise<StoreStandIn> {
  const streams = new Streams(options.file);
  const server: Server = createServer((request, response) => {
    void answer(request, response, streams, options).catch(() => response.destroy());
  });
  await new Promise<void>((resolve) => server.listen(options.port ?? 0, '127.0.0.1', resolve));
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  return {
    url: `http://127.0.0.1:${port}`,
    async end() {
      const closed = new Promise((resolve) => server.close(resolve));
      server.closeAllConnections();
      await closed;
      streams.end();
    },
  };
}

async function answer(
  request: IncomingMessage,
  response: ServerResponse,
  streams: Streams,
  { token, faultOf }: StandInOptions,
): Promise<void> {
  const body = await bodyOf(request);
  if (request.method === 'GET' && request.url === '/v2') {
    response.end();
    return;
  }
  if (request.method !== 'POST' || request.url !== '/v2/pipeline') {
    response.writeHead(404, { 'content-type': 'text/plain' });
    response.end(`${request.method} ${request.url} is not known here`);
    return;
  }
  if (token !== undefined && request.headers.authorization !== `Bearer ${token}`) {
    send(response, 401, { message: 'the token is not right', code: 'UNAUTHORIZED' });
    return;
  }
  const fault = faultOf?.(body) ?? 'none';
  if (fault === 'slow') await pause(SLOW_MS);
  if (fault === 'cut') {
    response.destroy();
    return;
  }
  if (fault === 'refused') {
    send(response, 500, { message: 'made up' });
    return;
  }
  const asked = JSON.parse(body) as PipelineRequest;
  const done: PipelineAnswer = await streams.pipeline(asked, randomUUID);
  if (fault === 'cut-after') response.destroy();
  else if (fault === 'refused-after') send(response, 500, { message: 'made up' });
  else if (fault === 'cut-in-answer') {
    const text = JSON.stringify(done);
    response.writeHead(200, {
      'content-type': 'application/json',
      'content-length': Buffer.byteLength(text),
    });
    response.write(text.slice(0, text.length >> 1), () => response.destroy());
  } else send(response, 200, done);
}

function send(response: ServerResponse, status: number, body: object): void {
  response.writeHead(status, { 'content-type': 'application/json' });
  response.end(JSON.stringify(body));
}

async function bodyOf(request: IncomingMessage): Promise<string> {
  const parts: Buffer[] = [];
  for await (const part of request) parts.push(part as Buffer);
  return Buffer.concat(parts).toString('utf8');
}
