/** The protocol of keeping, played with loss, delay, reloads, restarts, two windows and another folder. Full: --runs 100000. */
import { playKeeping } from '../../web/src/services/keeping/played';
import { runsAsked, tell } from './server';

const runs = runsAsked(500);
const wrong: string[] = [];
for (let seed = 10_001; seed <= 10_000 + runs; seed++)
  wrong.push(...playKeeping(seed).map((w) => `seed ${seed}: ${w}`));
tell(`${runs} runs of two windows`, wrong);
