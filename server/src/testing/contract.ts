import { BACKUPS, FILES, isPathOf, LIVE, MACHINE, PROFILES, SETTINGS, type Route } from '@sorn/api';
import { read } from '@sorn/core/values';
import type { RequestHandler } from 'express';

const ROUTES: readonly Route[] = [PROFILES, BACKUPS, SETTINGS, LIVE, FILES, MACHINE].flatMap(
  (each) => Object.values(each),
);

/** Holds every answer that a test gets to the contract, and fails the request where one is not as it says. */
export const heldToContract: RequestHandler = (request, response, next) => {
  const { path, method } = request;
  const route = ROUTES.find(
    (each) => each.method === method && isPathOf(each, path.replace(/^\/api/, '')),
  );
  const { json } = response;
  response.json = (value: unknown) => {
    if (!path.startsWith('/api/')) return json.call(response, value);
    if (!route?.answer) throw new Error(`${method} ${path} answers what no contract has`);
    const plain: unknown = JSON.parse(JSON.stringify(value));
    const answer = read(route.answer, plain);
    if (answer.ok) return json.call(response, value);
    const { path: at, found, expected } = answer.faults[0]!;
    throw new Error(`${method} ${path} answers ${at} ${found}; the contract has ${expected}`);
  };
  next();
};
