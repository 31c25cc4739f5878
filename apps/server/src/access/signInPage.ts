/** The page on which a device signs in: the one thing that is served to strangers, and all that it needs. */
import { Router } from 'express';
import { createRequire } from 'node:module';

const fonts = createRequire(import.meta.url);
const FONT = '@expo-google-fonts/public-sans/400Regular/PublicSans_400Regular.ttf';

const STYLE = `
@font-face { font-family: "Public Sans"; src: url("/sign-in/font.ttf"); }
:root { color-scheme: light dark; --paper: #f4efe6; --sheet: #fbf8f2; --ink: #1d1a16; --soot: #5c554b; --edge: #8b8171; --pit: #a8321b; --on-pit: #ffffff; }
@media (prefers-color-scheme: dark) { :root { --paper: #14110e; --sheet: #1e1a16; --ink: #f3ece0; --soot: #b3a896; --edge: #776d5f; --pit: #f08a63; --on-pit: #1d1a16; } }
* { box-sizing: border-box; }
body { margin: 0; min-height: 100vh; background: var(--paper); color: var(--ink); font: 16px/1.4 "Public Sans", sans-serif; }
main { max-width: 420px; margin: 0 auto; padding: 32px 20px; display: grid; gap: 16px; }
h1 { font-size: 28px; margin: 0; }
p { margin: 0; }
form { display: grid; gap: 16px; }
label { display: grid; gap: 6px; font-weight: 600; }
input { font: inherit; font-size: 17px; font-weight: 400; min-height: 52px; padding: 0 14px; border: 1px solid var(--edge); border-radius: 8px; background: var(--sheet); color: var(--ink); }
button { font: inherit; font-size: 17px; font-weight: 600; min-height: 56px; border: 0; border-radius: 8px; background: var(--pit); color: var(--on-pit); }
button:disabled { opacity: .5; }
small { color: var(--soot); font-size: 15px; font-weight: 400; }
[role=alert] { border-left: 4px solid var(--pit); background: var(--sheet); padding: 12px 16px; font-weight: 600; }
a { color: var(--ink); }
`;

const SCRIPT = `
const form = document.querySelector('form');
const said = document.querySelector('[role=alert]');
const button = form.querySelector('button');
form.addEventListener('submit', async (event) => {
  event.preventDefault();
  button.disabled = true;
  said.hidden = true;
  const { code, name, device } = Object.fromEntries(new FormData(form));
  try {
    const res = await fetch('/api/access/sign-in', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ code, name, device }),
    });
    if (res.ok) { location.replace('/'); return; }
    const problem = await res.json();
    said.textContent = problem.title + '.';
  } catch {
    said.textContent = 'The server does not answer.';
  }
  said.hidden = false;
  button.disabled = false;
});
`;

/** What others could read, where nothing is encrypted. */
const PLAIN = `<p><small>This page is not encrypted. Others on this network who know how could read the passcode and the log. Use it on a network you trust, or ask whoever runs the server for encryption (the option <b>--tls</b>).</small></p>`;

const page = (secure: boolean, hasAuthority: boolean): string => `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Sign in</title>
<link rel="stylesheet" href="/sign-in/style.css">
</head>
<body>
<main>
<h1>Ostrin</h1>
<p>This yard is open to those who know its passcode. It stands on the terminal of the machine that runs it. An invitation from a cook of this house works too.</p>
<p role="alert" hidden></p>
<form>
<label>Passcode or invitation<input name="code" required maxlength="100" autocomplete="one-time-code" autocapitalize="none" autocorrect="off" spellcheck="false"></label>
<label>Your name <small>It stands beside what you log.</small><input name="name" required maxlength="40" autocomplete="given-name"></label>
<label>This device <small>For example: phone, tablet in the house.</small><input name="device" required maxlength="40" value="Phone"></label>
<button>Sign in</button>
</form>
${secure ? '' : PLAIN}
${hasAuthority ? '<p><small><a href="/sign-in/house.crt" download>The certificate of this house</a>, for phones to trust.</small></p>' : ''}
</main>
<script src="/sign-in/script.js"></script>
</body>
</html>
`;

/** The page and its assets; nothing of them tells anything of the yard. */
export function signInPage(secure: boolean, authority: string | null): Router {
  const router = Router();
  const send = (path: string, type: string, text: string): void => {
    router.get(path, (_req, res) => {
      res.set('Cache-Control', 'no-cache').type(type).send(text);
    });
  };
  send('/', 'html', page(secure, authority !== null));
  send('/style.css', 'css', STYLE);
  send('/script.js', 'js', SCRIPT);
  if (authority !== null) send('/house.crt', 'application/x-x509-ca-cert', authority);
  router.get('/font.ttf', (_req, res) => {
    res.sendFile(fonts.resolve(FONT), { maxAge: '30d' });
  });
  return router;
}
