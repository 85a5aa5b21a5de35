import { measurePage } from './page';
import { measureFrame } from './frame';
const f = (t: any) => `own ${t.own.median.toFixed(1)} p99 ${t.own.p99.toFixed(1)} figures ${t.figures.median.toFixed(1)} painted ${t.painted.median.toFixed(1)} late ${t.late}/${t.edits}`;
if (process.argv[2] !== 'frame') { const p = await measurePage(); console.log('balance', f(p.edits), 'longest', p.longest); }
if (process.argv[2] !== 'page') { const m = await measureFrame(); for (const x of m.families) console.log(x.rig, f(x.times)); console.log('free', f(m.free)); console.log(m.turning.map((t) => t.rate.toFixed(0)).join()); }
