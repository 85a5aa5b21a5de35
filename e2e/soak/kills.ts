/** The server killed hard in the middle of saves, again and again: nothing that was acknowledged is lost. Full: --runs 1000. */
import { runsAsked, SoakedServer, tell } from './server';

const runs = runsAsked(20);
const server = new SoakedServer();
const acknowledged = new Map<string, number>();
const wrong: string[] = [];
let saved = 0;

await server.start();
for (let run = 0; run < runs; run++) {
  let dead = false;
  let first: () => void = () => undefined;
  // Some milliseconds after the first was acknowledged: always in the middle of others.
  const stop = new Promise<void>((done) => (first = () => setTimeout(done, run % 25)));
  const saving = (async () => {
    for (let n = 0; !dead; n++) {
      const changes = Array.from({ length: 1 + (n % 4) }, (_, i) => {
        const id = `k${run}-${n}-${i}`;
        return { kind: 'bin', id, revision: 0, body: { id, name: id, count: n, lengths: [] } };
      });
      const answer = await fetch(`${server.address}/api/changes`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ changes }),
      }).catch(() => null);
      if (!answer?.ok || (await answer.json().catch(() => null)) === null) return;
      for (const c of changes) acknowledged.set(c.id, c.body.count);
      saved++;
      first();
    }
  })();
  await stop;
  await server.kill();
  dead = true;
  await saving;
  await server.start();
  // All of it at the end, and every fiftieth time: reading it each time would be most of the work.
  if (run % 50 !== 49 && run !== runs - 1) continue;
  const { documents, damaged } = (await (await fetch(`${server.address}/api/documents`)).json()) as {
    documents: { id: string; body: { count: number } }[];
    damaged: unknown[];
  };
  const held = new Map(documents.map((d) => [d.id, d.body.count]));
  for (const [id, count] of acknowledged)
    if (held.get(id) !== count) wrong.push(`run ${run}: ${id} was acknowledged and is ${held.get(id) ?? 'gone'}`);
  if (damaged.length > 0) wrong.push(`run ${run}: ${damaged.length} damaged`);
}
await server.end();
if (saved < runs) wrong.push(`only ${saved} groups were acknowledged: nothing was tried`);
tell(`${runs} kills, ${saved} groups acknowledged`, wrong);
