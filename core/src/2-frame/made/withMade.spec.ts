import { dot, length, subtract, unit, type Vec3 } from '../../0-base';
import type { AsMade, Body, Design, Rig } from '../../model';
import { assemble, placedPieces } from '../assemble';
import { designRig } from '../designRig';
import { finishedLength } from '../members/finishedLength';
import { bentStrip } from '../members/memberBodies';
import { placesOf } from '../members/memberEnds';
import { FAMILIES } from '../wholeFamilies';

const designOf = (family: string): Design => ({ kind: 'family', family, dimensions: {}, choices: {}, edits: [] });
function made(family: string, entries: readonly AsMade[]) {
  const designed = designRig(designOf(family), null, entries);
  if (!designed.ok) throw new Error(designed.reason);
  return designed;
}
const bodyWith = (rig: Rig, member: string): Body => rig.bodies.find((b) => b.members.some((m) => m.id === member))!;
/** Where all that has mass lies, by its id. */
const places = (rig: Rig): ReadonlyMap<string, Vec3> =>
  new Map(placedPieces(assemble(rig, null), {}).map(({ flat }, i) => [`${flat.owner} ${flat.id} ${i}`, flat.centre]));
const stripOf = (rig: Rig, id: string) => {
  const body = bodyWith(rig, id);
  return bentStrip(
    body.members.find((m) => m.id === id)!,
    placesOf(body.nodes),
  )!;
};

describe('a rig as it was made', () => {
  for (const { id } of FAMILIES)
    it(`${id}: made as drawn it is the drawing, to a thousandth of a hair`, () => {
      const { rig } = made(id, []);
      const entries = rig.bodies.flatMap((body) =>
        body.members.flatMap((m): readonly AsMade[] => [
          { kind: 'length', member: m.id, length: finishedLength(m, body) },
          ...m.holes.map((h): AsMade => ({ kind: 'hole', member: m.id, hole: h.id, along: h.along })),
          ...(m.path.kind === 'bent'
            ? m.path.segments
                .flatMap((s) => ('angle' in s && s.angle !== 0 ? [Math.abs(s.angle)] : []))
                .map((angle, bend): AsMade => ({ kind: 'bend', member: m.id, bend, angle }))
            : []),
        ]),
      );
      const again = made(id, entries);
      expect(again.idle).toEqual([]);
      const [was, is] = [places(rig), places(again.rig)];
      expect([...is.keys()]).toEqual([...was.keys()]);
      for (const [key, at] of was)
        expect(length(subtract(is.get(key)!, at)))
          .withContext(key)
          .toBeLessThan(1e-9);
    });

  it('a bend four degrees short: all beyond it swings by four degrees as one, all before it stays', () => {
    const short = (4 * Math.PI) / 180;
    const { rig } = made('gimballed-bent-bar', []);
    const strip = stripOf(rig, 'bar');
    const drawn = Math.abs(strip.stretches.find((s) => s.bend)!.bend!.angle);
    const bent = made('gimballed-bent-bar', [{ kind: 'bend', member: 'bar', bend: 0, angle: drawn - short }]);
    expect(bent.tied).toEqual([]);
    const after = stripOf(bent.rig, 'bar');
    expect(dot(after.end.along, strip.end.along)).toBeCloseTo(Math.cos(short), 12);
    const stations = (r: Rig) => new Map(r.bodies.flatMap((b) => b.stations).map((s) => [s.id, s]));
    const [was, is] = [stations(rig), stations(bent.rig)];
    for (const id of ['rear']) expect(length(subtract(is.get(id)!.seat, was.get(id)!.seat))).toBeLessThan(1e-12);
    const foot = [was.get('foot')!, is.get('foot')!];
    expect(dot(unit(foot[0]!.axis), unit(foot[1]!.axis))).toBeCloseTo(Math.cos(short), 12);
    // As far from the end of the bar as before: it hangs on it.
    const fromEnd = (s: { readonly seat: Vec3 }, end: Vec3): number => length(subtract(s.seat, end));
    expect(fromEnd(foot[1]!, after.end.at)).toBeCloseTo(fromEnd(foot[0]!, strip.end.at), 9);
    // The blank was cut and marked before: it is as long, and every hole is where it was marked on it.
    expect(after.developedLength).toBeCloseTo(strip.developedLength, 9);
    const holes = (r: Rig) =>
      bodyWith(r, 'bar').members[0]!.holes.map((h) => [h.id, Math.round(h.along * 1e6)] as const);
    expect(holes(bent.rig)).toEqual(holes(rig));
  });

  it('a hole three millimetres off: what is bolted through it stands three millimetres off, and nothing else moves', () => {
    const { rig } = made('gimballed-bent-bar', []);
    const hole = bodyWith(rig, 'bar').members[0]!.holes.find((h) => h.id.includes('rear') && !h.id.includes('stage'))!;
    const off = made('gimballed-bent-bar', [{ kind: 'hole', member: 'bar', hole: hole.id, along: hole.along + 0.003 }]);
    expect(off.tied).toEqual([]);
    const [was, is] = [places(rig), places(off.rig)];
    const moved = [...was].filter(([key, at]) => length(subtract(is.get(key)!, at)) > 1e-9);
    expect(moved.length).toBeGreaterThan(0);
    for (const [key, at] of moved) {
      expect(length(subtract(is.get(key)!, at)))
        .withContext(key)
        .toBeCloseTo(0.003, 9);
      expect(key).not.toMatch(/^(bar|stage|front|foot|joint|grip)/);
    }
    expect(bodyWith(off.rig, 'bar').members[0]!.holes.find((h) => h.id === hole.id)!.along).toBeCloseTo(
      hole.along + 0.003,
      9,
    );
  });

  it('one leg of a ring cut short cannot be followed; all of them cut alike bring its far side nearer', () => {
    const { rig } = made('tube-frame', []);
    const body = rig.bodies.find((b) => b.members.some((m) => m.name === 'front leg, left'));
    const leg = body!.members.find((m) => m.name === 'front leg, left')!;
    const long = finishedLength(leg, body!);
    const one = made('tube-frame', [{ kind: 'length', member: leg.id, length: long - 0.003 }]);
    const both = made('tube-frame', [
      { kind: 'length', member: leg.id, length: long - 0.003 },
      { kind: 'length', member: leg.twin!, length: long - 0.003 },
    ]);
    expect(one.tied.map((t) => t.of.member)).toEqual([leg.id]);
    expect([...places(one.rig)]).toEqual([...places(rig)]);
    expect(both.tied).toEqual([]);
    const now = bodyWith(both.rig, leg.id);
    for (const id of [leg.id, leg.twin!])
      expect(
        finishedLength(
          now.members.find((m) => m.id === id)!,
          now,
        ),
      ).toBeCloseTo(long - 0.003, 9);
    // Every other pipe is as long as it was.
    for (const m of now.members.filter((x) => x.id !== leg.id && x.id !== leg.twin))
      expect(finishedLength(m, now))
        .withContext(m.name)
        .toBeCloseTo(
          finishedLength(
            body!.members.find((x) => x.id === m.id)!,
            body!,
          ),
          9,
        );
  });

  it('keeps what finds nothing, and takes no length that leaves no bar', () => {
    const { idle } = made('gimballed-bent-bar', [
      { kind: 'length', member: 'gone', length: 0.2 },
      { kind: 'bend', member: 'bar', bend: 7, angle: 1 },
      { kind: 'length', member: 'bar', length: 0.01 },
    ]);
    expect(idle.length).toBe(3);
  });
});
