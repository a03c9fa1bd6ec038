import type { RequestHandler } from 'express';
import { sendProblem } from './problem.ts';

/**
 * Refuses requests that name another host than the server's own, or come from another origin: so a page
 * elsewhere that a name was pointed at this machine for (DNS rebinding) reaches nothing.
 *
 * @param hosts host names, without ports, under which the server may be reached
 */
export function guard(hosts: readonly string[]): RequestHandler {
  const isOwn = (host: string | undefined) =>
    host !== undefined && hosts.includes(host.replace(/:\d+$/, '').toLowerCase());
  return (request, response, next) => {
    const { host, origin } = request.headers;
    if (!isOwn(host)) {
      sendProblem(response, 'foreign-host', `Host ${host ?? '(none)'} is not this server's.`);
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
