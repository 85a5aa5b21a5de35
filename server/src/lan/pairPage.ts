/** The only page a phone sees before it is paired: a code and a name, no script, and no word in it that came from outside. */

const STYLE = `
:root { color-scheme: light dark; font: 18px/1.4 system-ui, sans-serif; }
body { margin: 0 auto; padding: 24px 20px; max-width: 26em; }
h1 { font-size: 1.3em; margin: 0 0 8px; }
label { display: block; margin: 20px 0 6px; font-weight: 600; }
input { box-sizing: border-box; width: 100%; min-height: 52px; padding: 8px 12px; font: inherit; }
input[name=code] { font-size: 1.5em; letter-spacing: 0.08em; text-transform: uppercase; }
button { width: 100%; min-height: 56px; margin-top: 24px; font: inherit; font-weight: 600; }
.wrong { border-left: 4px solid #b3372b; padding-left: 12px; }
`;

export interface PairPage {
  /** As the QR code brought it, or empty. */
  readonly code: string;
  readonly wrong: string;
}

/** `code` is written only where it is of the alphabet of codes. */
export const pairPage = ({ code, wrong }: PairPage): string => `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Pair this phone with Tide Pebble</title>
<style>${STYLE}</style>
</head>
<body>
<main>
<h1>Pair this phone with Tide Pebble</h1>
<p>The code stands where Tide Pebble runs: in its window, and in Field, On a phone. It works once.</p>
${wrong ? `<p class="wrong" role="alert">${wrong}</p>` : ''}
<form method="post" action="/pair">
<label for="code">Code</label>
<input id="code" name="code" value="${/^[A-Z0-9-]{0,9}$/.test(code) ? code : ''}" autocomplete="off" autocapitalize="characters" spellcheck="false" maxlength="20" required>
<label for="name">What this phone is called</label>
<input id="name" name="name" maxlength="60" placeholder="Phone" autocomplete="off">
<button type="submit">Pair</button>
</form>
</main>
</body>
</html>
`;
