import { isIP } from 'node:net';
import type { RequestHandler } from 'express';
import { sendProblem } from '../problem.ts';

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** Under which host names the server may be reached. */
export interface Hosts {
  /** Names that the person gave, lower case, without ports. */
  names: readonly string[];
  /** Whether it may be reached by any address: no name that leads here can be one. Only where people log in. */
  byAddress: boolean;
}

/**
 * Refuses requests that name another host than the server's own, or come from another origin: so a page
 * elsewhere that a name was pointed at this machine for (DNS rebinding) reaches nothing.
 */
export function guard({ names, byAddress }: Hosts): RequestHandler {
  const isOwn = (host: string) => {
    const name = host.replace(/:\d+$/, '').toLowerCase();
    if (LOOPBACK.includes(name) || names.includes(name)) return true;
    return byAddress && isIP(name.replace(/^\[(.*)\]$/, '$1')) !== 0;
  };
  return (request, response, next) => {
    const { host = '', origin } = request.headers;
    if (!isOwn(host)) {
      const detail = `Host ${host || '(none)'} is not this server's. Where it should be, start Sorn with: --name ${host.replace(/:\d+$/, '') || 'NAME'}`;
      sendProblem(response, 'foreign-host', detail);
      return;
    }
    if (origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`) {
      sendProblem(response, 'foreign-host', `Origin ${origin} is not this server's.`);
      return;
    }
    if (request.headers['sec-fetch-site'] === 'cross-site' && request.path.startsWith('/api/')) {
      sendProblem(response, 'foreign-host', 'Another site asked for this.');
      return;
    }
    next();
  };
}
