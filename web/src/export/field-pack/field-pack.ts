/** A field pack: one HTML file with a rig's cards, set-up to tick off, pack list, stopwatch and log, for a phone with no server. */
import { FIELD_LOG } from '@tide-pebble/core';
import type { PackCard } from '../pack-card';
import { escaped } from '../escaped';
import { packPage } from './pack-page';

export interface PackInput {
  readonly rig: { readonly id: string; readonly name: string };
  /** ISO. */
  readonly made: string;
  readonly cautions: readonly string[];
  readonly pieces: readonly string[];
  readonly cards: readonly PackCard[];
}

/** All of it is words in places made for words, and the only script is our own: its hash alone may run. */
export async function fieldPack(input: PackInput): Promise<string> {
  const script = `(${packPage.toString()})()`;
  const data = {
    pack: `${input.rig.id}-${input.made}`,
    format: FIELD_LOG,
    templates: input.cards.map((c) => c.entry),
  };
  const policy = [
    "default-src 'none'",
    "style-src 'unsafe-inline'",
    `script-src '${await hashOf(script)}'`,
    "base-uri 'none'",
    "form-action 'none'",
  ].join('; ');
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="${policy}">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(input.rig.name)}: field pack</title>
<style>${STYLE}</style>
</head>
<body>
<main>
<h1>${escaped(input.rig.name)}</h1>
<p class="small">Field pack of ${escaped(input.made.slice(0, 16).replace('T', ', '))} UTC. What you keep here stays in this phone until you give it back.</p>
${input.cards.map(cardHtml).join('\n')}
<details><summary>In the bag</summary>
<ul class="ticks">${input.pieces.map((p, i) => `<li>${tick(`bag ${i} ${p}`, p)}</li>`).join('')}</ul></details>
<section><h2>Kept here</h2>
<p id="count" class="small"></p>
<ul id="entries"></ul>
<button type="button" id="give">Give back as a file</button>
<p class="small">In Tide Pebble: Log, “Bring in a phone's log”.</p>
<button type="button" id="untick" class="quiet">Take all ticks away</button>
</section>
<section><h2>Care</h2><ul class="small">${input.cautions.map((c) => `<li>${escaped(c)}</li>`).join('')}</ul></section>
<p id="status" role="status"></p>
</main>
<script type="application/json" id="data">${JSON.stringify(data).replace(/</g, '\\u003c')}</script>
<script>${script}</script>
</body>
</html>
`;
}

function cardHtml(card: PackCard, i: number): string {
  const parts = card.parts.map(
    (p, n) =>
      `<li>${tick(`${i} ${n} ${p.name} ${p.big}`, p.name)}<p class="big">${escaped(p.big)} <span>${escaped(p.beside)}</span></p>${p.small
        .map((s) => `<p class="small">${escaped(s)}</p>`)
        .join('')}</li>`,
  );
  return `<details class="card"${i === 0 ? ' open' : ''}>
<summary>${escaped(card.loadout)}</summary>
<ol class="parts">${parts.join('')}</ol>
${card.conditions ? `<p>${escaped(card.conditions)}</p>` : ''}
${card.expect.map((e) => `<p><strong class="figure">${escaped(e.figure)}</strong> ${escaped(e.rest)}</p>`).join('')}
${card.tight.length > 0 ? `<p class="small">Before each take see that these are tight: ${escaped(card.tight.join(', '))}.</p>` : ''}
${card.doubt ? `<p class="doubt">${escaped(card.doubt)}</p>` : ''}
<p class="small">${escaped(card.mass)} in the hand. Try the clamp before you let go.</p>
<form data-card="${i}">
<h3>Hang it, read it</h3>
<button type="button" class="watch">Let go</button>
<p>Drops: <output></output></p>
<label>Nose down, degrees <input name="nose" inputmode="text" maxlength="12" autocomplete="off"></label>
<label>Left side down, degrees <input name="sides" inputmode="text" maxlength="12" autocomplete="off"></label>
<label>Notes <textarea name="notes" rows="2" maxlength="4000"></textarea></label>
<label>What went wrong <textarea name="wrong" rows="2" maxlength="1000"></textarea></label>
<label>What to try next <textarea name="toTry" rows="2" maxlength="1000"></textarea></label>
<button type="submit">Keep this reading</button>
</form>
</details>`;
}

const tick = (key: string, words: string): string =>
  `<label class="tick"><input type="checkbox" data-tick="${escaped(key)}"> ${escaped(words)}</label>`;

async function hashOf(text: string): Promise<string> {
  const hash = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text));
  return `sha256-${btoa(String.fromCharCode(...new Uint8Array(hash)))}`;
}

/** Ink on white whatever the theme: it is read in the sun, by one thumb. */
const STYLE = `
:root { font: 18px/1.4 system-ui, sans-serif; color: #1d2a31; background: #fff; }
body { margin: 0 auto; padding: 16px; max-width: 34em; }
h1 { font-size: 1.6em; margin: 0; } h2 { font-size: 1.2em; } h3 { margin: 16px 0 8px; }
summary { font-size: 1.15em; font-weight: 700; min-height: 48px; padding: 8px 0; }
details, section { border-top: 2px solid #1d2a31; }
ol, ul { padding: 0; margin: 0; list-style: none; }
.parts li { border-top: 1px solid #8a979e; padding: 8px 0; }
.small { font-size: 0.85em; color: #4a5a64; }
p { margin: 6px 0; overflow-wrap: anywhere; }
.big { font-size: 2.2em; font-weight: 800; margin: 0; } .big span { font-size: 0.5em; }
.figure { font-size: 1.3em; }
.doubt { border-left: 4px solid #b3372b; padding-left: 10px; }
label { display: block; margin: 10px 0; overflow-wrap: anywhere; }
.tick { display: flex; gap: 12px; align-items: center; min-height: 48px; margin: 0; font-weight: 600; }
.tick input { width: 28px; height: 28px; flex: none; }
input:not([type]), textarea { box-sizing: border-box; width: 100%; min-height: 48px; font: inherit; padding: 8px; }
button { width: 100%; min-height: 56px; font: inherit; font-weight: 700; margin: 8px 0; border: 2px solid #1d2a31; border-radius: 10px; background: #fff; color: inherit; }
button.watch { min-height: 110px; font-size: 1.6em; background: #1d2a31; color: #fff; }
#entries li { padding: 8px 0; border-top: 1px solid #8a979e; overflow-wrap: anywhere; } #entries button { width: auto; min-height: 44px; }
button:disabled { opacity: 0.5; } button.quiet { border-width: 1px; font-weight: 400; }
#status:not(:empty) { position: sticky; bottom: 0; background: #1d2a31; color: #fff; padding: 12px; }
`;
