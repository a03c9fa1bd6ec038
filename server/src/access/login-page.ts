/** What the login page says. */
type Asking = { is: 'asked' | 'wrong'; next: string } | { is: 'in' | 'too-many' };

// In the colours of the page, which are not there before one is logged in.
const STYLE = `
:root { color-scheme: light dark; --paper: #f5f3eb; --ink: #1a2525; --line: #7a837e; --main: #0a6363; --on-main: #fff; --signal: #c93a17; }
@media (prefers-color-scheme: dark) { :root { --paper: #0f1a1a; --ink: #e9eae3; --line: #8a948f; --main: #4dc4b8; --on-main: #0f1a1a; --signal: #ff7a50; } }
body { margin: 0; background: var(--paper); color: var(--ink); font: 15px/1.5 "Archivo Variable", system-ui, sans-serif; }
main { width: min(26rem, calc(100vw - 3rem)); margin: 18vh auto 0; }
h1 { font-size: 18px; margin: 0 0 1rem; }
label { display: block; margin-bottom: .25rem; }
input { box-sizing: border-box; width: 100%; padding: .5rem .75rem; font: inherit; color: inherit; background: transparent; border: 1px solid var(--line); border-radius: 2px; }
button { margin-top: 1rem; padding: .4rem 1rem; font: inherit; font-weight: 600; color: var(--on-main); background: var(--main); border: 0; border-radius: 2px; }
:focus-visible { outline: 2px solid var(--signal); outline-offset: 2px; }
a { color: inherit; }
.fault { color: var(--signal); }
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
${fault}<label for="token">Token, in the file named when the server started</label>
<input id="token" name="token" type="password" autocomplete="current-password" required autofocus>
<button>Log in</button>
</form>`;

const BODY: Record<Asking['is'], (next: string) => string> = {
  asked: (next) => form(next),
  wrong: (next) => form(next, '<p class="fault" role="alert">This is not the token.</p>\n'),
  'too-many': () =>
    '<p class="fault" role="alert">Too many wrong tokens. Try again in a quarter of an hour.</p>',
  in: () => `<p>You are logged in. <a href="/" autofocus>Go to your profiles</a></p>
<form method="post" action="/logout"><button>Log out</button></form>`,
};
