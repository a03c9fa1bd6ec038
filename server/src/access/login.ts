import { createHash, createHmac, timingSafeEqual } from 'node:crypto';
import { parseCookie, stringifySetCookie } from 'cookie';
import { Router, urlencoded, type Request, type RequestHandler, type Response } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import { sendProblem } from '../problem.ts';
import { loginPage } from './login-page.ts';

const COOKIE = 'sorn';
const MONTH_S = 30 * 24 * 60 * 60;
const WINDOW_MS = 15 * 60 * 1000;
/** Wrong tokens from one address within the window. */
const MOST_TRIES = 10;

/**
 * Lets only those in who have the token: by a cookie that the login page gives for it, or, for programs, as
 * `Authorization: Bearer`. A token of 24 random bytes cannot be guessed; the limit is for those people choose.
 */
export function login(token: string, now: () => number = Date.now): Router {
  const routes = Router();
  const wrong = rateLimit({
    windowMs: WINDOW_MS,
    limit: MOST_TRIES,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    skipSuccessfulRequests: true,
    keyGenerator: addressOf,
    requestWasSuccessful: (_request, response) => response.statusCode !== 401,
    handler: (request, response) => {
      response.status(429);
      if (request.path === '/login') response.send(loginPage({ is: 'too-many' }));
      else tooMany(response);
    },
  });
  const isToken = (given: unknown) => typeof given === 'string' && sameText(given, token);
  const isIn = (request: Request) => isTicket(cookieOf(request), token, now());

  routes.use((_request, response, next) => {
    // What is behind the login is not kept by anything between here and the browser.
    response.set('Cache-Control', 'private, no-store');
    next();
  });
  routes.get('/login', (request, response) => {
    response.send(loginPage(isIn(request) ? { is: 'in' } : { is: 'asked', next: nextOf(request) }));
  });
  routes.post(
    '/login',
    wrong,
    urlencoded({ extended: false, limit: '4kb' }),
    (request, response) => {
      const { token: given } = (request.body ?? {}) as { token?: unknown };
      if (!isToken(given)) {
        response.status(401).send(loginPage({ is: 'wrong', next: nextOf(request) }));
        return;
      }
      giveCookie(request, response, ticket(token, now() + MONTH_S * 1000), MONTH_S);
      response.redirect(303, nextOf(request));
    },
  );
  routes.post('/logout', (request, response) => {
    giveCookie(request, response, '', 0);
    response.redirect(303, '/login');
  });

  /** Counts only wrong tokens, so that a program's many requests at once are not taken for guesses. */
  const byToken: RequestHandler = async (request, response, next) => {
    const [, bearer] = /^Bearer (\S+)$/i.exec(request.get('authorization') ?? '') ?? [];
    if (!isToken(bearer)) {
      await wrong(request, response, () =>
        sendProblem(response, 'needs-token', 'The token is not that of this server.'),
      );
      return;
    }
    const tries = (await wrong.getKey(addressOf(request)))?.totalHits ?? 0;
    if (tries >= MOST_TRIES) tooMany(response);
    else next();
  };
  routes.use((request, response, next) => {
    if (isIn(request)) next();
    else if (request.get('authorization')) void byToken(request, response, next);
    else if (request.path.startsWith('/api/'))
      sendProblem(
        response,
        'needs-token',
        'Log in at /login, or send the token as Authorization: Bearer.',
      );
    else response.redirect(303, `/login?next=${encodeURIComponent(request.originalUrl)}`);
  });
  return routes;
}

const addressOf = (request: Request) => ipKeyGenerator(request.ip ?? '');

function tooMany(response: Response): void {
  sendProblem(response, 'too-many-tries', 'Try again in a quarter of an hour.');
}

/** Compares texts in constant time, so that the time does not show where they differ. */
function sameText(a: string, b: string): boolean {
  const sum = (text: string) => createHash('sha256').update(text).digest();
  return timingSafeEqual(sum(a), sum(b));
}

/** The content of the cookie: the time until which it is valid, and a signature made with the token. */
function ticket(token: string, untilMs: number): string {
  const proof = createHmac('sha256', token).update(`login until ${untilMs}`).digest('base64url');
  return `${untilMs}.${proof}`;
}

function isTicket(given: string, token: string, nowMs: number): boolean {
  const until = Number(/^(\d{1,15})\./.exec(given)?.[1] ?? 0);
  return until > nowMs && sameText(given, ticket(token, until));
}

function cookieOf(request: Request): string {
  return parseCookie(request.headers.cookie ?? '')[COOKIE] ?? '';
}

function giveCookie(request: Request, response: Response, value: string, maxAge: number): void {
  response.append(
    'Set-Cookie',
    stringifySetCookie({
      name: COOKIE,
      value,
      maxAge,
      path: '/',
      httpOnly: true,
      sameSite: 'strict',
      // A proxy says whether the browser came to it over TLS; all that a wrong word does is to lose the login.
      secure: request.get('x-forwarded-proto') === 'https',
    }),
  );
}

/** Where to go after the login: a path of this server, never another one. */
function nextOf(request: Request): string {
  const { next } = request.query;
  return typeof next === 'string' && /^\/(?![/\\])/.test(next) && !next.startsWith('/login')
    ? next
    : '/';
}
