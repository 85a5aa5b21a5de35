/** Rigs started for loads that nobody thought of: none may begin with a fault that the app itself would cure by one press. Full: --runs 200. */
import {
  changedDesign,
  FAMILIES,
  findingKey,
  itemFigures,
  judged,
  render,
  METRIC,
  standingOn,
  USUAL_HANDS,
  evenDraws,
  workpiece,
  type Change,
  type KitItem,
  type Loadout,
} from '@tide-pebble/core';
import { cure, readyStart, takesLens, TYPICAL_CAMERAS, TYPICAL_LENSES, typicalItem } from '@tide-pebble/core/making';
import { TYPICAL_OTHERS } from '@tide-pebble/core/measuring';
import { runsAsked, tell } from './server';

const runs = runsAsked(14);
const draw = evenDraws(200);
const of = <T>(list: readonly T[]): T => list[Math.floor(draw() * list.length)]!;
const wants = {
  levelWithin: Math.PI / 180,
  dropTime: [1.8, 2.4],
  massAtMost: 2.5,
  calmAtLeast: 6,
  shopPrice: 0,
} as const;

/** A camera of some kind, as heavy as it may be, a lens where it takes one, and up to two things more. */
function load(): { readonly loadout: Loadout; readonly kit: ReadonlyMap<string, KitItem> } {
  const kind = of(TYPICAL_CAMERAS);
  const guess = itemFigures(typicalItem(kind, 'camera')).mass;
  const items: KitItem[] = [typicalItem(kind, 'camera', guess * (0.7 + 0.6 * draw()))];
  if (takesLens(kind)) items.push(typicalItem(of(TYPICAL_LENSES), 'lens'));
  for (let n = Math.floor(draw() * 3); n > 0; n--) items.push(typicalItem(of(TYPICAL_OTHERS), `other-${n}`));
  const kit = new Map(items.map((i) => [i.id, i]));
  let loadout: Loadout = { id: 'load', name: items.map((i) => i.name).join(', '), conditions: '', items: [] };
  for (const item of items)
    loadout = {
      ...loadout,
      items: [
        ...loadout.items,
        { id: `on-${item.id}`, item: item.id, on: standingOn(item, loadout, kit), offset: [0, 0, 0] },
      ],
    };
  return { loadout, kit };
}

let cured = 0;
let told = 0;
const wrong: string[] = [];
const longest = { s: 0, what: '' };
for (let run = 0; run < runs; run++) {
  const family = FAMILIES[run % FAMILIES.length]!;
  const { loadout, kit } = load();
  const began = performance.now();
  const { design, values, left, ...ready } = readyStart(family, { loadout, kit, wants });
  const s = (performance.now() - began) / 1000;
  if (s > longest.s) Object.assign(longest, { s, what: `${family.id} for ${loadout.name}` });
  cured += ready.cured.length;
  told += left.length;
  const faults = (changes: readonly Change[]): ReadonlySet<string> | null => {
    const made = workpiece(
      { design: changedDesign(design, changes, () => `x${changes.length}`), hands: USUAL_HANDS },
      loadout,
      kit,
    );
    if (!made.ok) return null;
    const set = Object.fromEntries(changes.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value] as const] : [])));
    return new Set(
      judged(made.work, { ...values, ...set }, wants)
        .findings.filter((f) => f.stage !== 'load' && (f.severity === 'stop' || f.severity === 'mend'))
        .map(findingKey),
    );
  };
  const before = faults([]);
  for (const finding of left) {
    const offered = [
      ...finding.fixes,
      ...cure({ rig: { design, wants, hands: USUAL_HANDS }, loadout, kit, values, finding }).filter(
        (c) => !c.trimAfter,
      ),
    ];
    for (const fix of offered) {
      const after = faults(fix.changes);
      // Cured by one press, and nothing new: the start should have done so.
      if (after && before && !after.has(findingKey(finding)) && [...after].every((k) => before.has(k)))
        wrong.push(
          `${family.id} for ${loadout.name}: “${render(finding.title, METRIC)}” is cured by “${render(fix.label, METRIC)}”`,
        );
    }
  }
}
console.log(
  `${runs} starts: ${cured} changes made, ${told} faults told before; the longest took ${longest.s.toFixed(1)} s (${longest.what})`,
);
tell('starts', wrong);
