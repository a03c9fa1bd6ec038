/** What the login page says. */
type Asking = { is: 'asked' | 'wrong'; next: string } | { is: 'in' | 'too-many' };

const STYLE = `
:root { color-scheme: light dark; --paper: #f6f3ec; --ink: #1f2328; --line: #8a8578; --fault: #a3221d; }
@media (prefers-color-scheme: dark) { :root { --paper: #191b1e; --ink: #e9e6df; --line: #8d897f; --fault: #ff9a8f; } }
body { margin: 0; min-height: 100vh; display: grid; place-items: center; background: var(--paper); color: var(--ink); font: 16px/1.5 "Archivo Variable", system-ui, sans-serif; }
main { width: min(26rem, calc(100vw - 3rem)); }
h1 { font-size: 1.5rem; margin: 0 0 1rem; }
label { display: block; margin-bottom: .25rem; }
input { box-sizing: border-box; width: 100%; padding: .5rem .75rem; font: inherit; color: inherit; background: transparent; border: 1px solid var(--line); border-radius: 2px; }
button { margin-top: 1rem; padding: .5rem 1rem; font: inherit; color: var(--paper); background: var(--ink); border: 0; border-radius: 2px; }
:focus-visible { outline: 3px solid currentColor; outline-offset: 2px; }
a { color: inherit; }
.fault { color: var(--fault); }
`;

/** The page at /login: a form for the token. It runs no script, so that it works before anything is let through. */
export function loginPage(asking: Asking): string {
  return `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>Log in · Sorn</title>
<style>${STYLE}</style>
<main>
<h1>Sorn</h1>
${BODY[asking.is]('next' in asking ? asking.next : '/')}
</main>
</html>
`;
}

const form = (
  next: string,
  fault = '',
) => `<form method="post" action="/login?next=${encodeURIComponent(next)}">
${fault}<label for="token">Token, from the file that the server named when it started</label>
<input id="token" name="token" type="password" autocomplete="current-password" required autofocus>
<button>Log in ↵</button>
</form>`;

const BODY: Record<Asking['is'], (next: string) => string> = {
  asked: (next) => form(next),
  wrong: (next) => form(next, '<p class="fault" role="alert">This is not the token.</p>\n'),
  'too-many': () =>
    '<p class="fault" role="alert">Too many wrong tokens. Try again in a quarter of an hour.</p>',
  in: () => `<p>You are logged in. <a href="/" autofocus>Go to your profiles</a></p>
<form method="post" action="/logout"><button>Log out</button></form>`,
};
