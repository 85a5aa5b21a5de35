import { dot, length, subtract, unit, type Vec3 } from '../../0-base';
import type { AsMade, Body, Design, Rig } from '../../model';
import { assemble, placedPieces } from '../assemble';
import { connectionsOf } from '../connections/connectionsOf';
import { fromEdges } from '../connections/fromEdges';
import { drilledElsewhere, holeId } from '../connections/holesIn';
import { designRig } from '../designRig';
import { finishedLength } from '../members/finishedLength';
import { bentStrip } from '../members/memberBodies';
import { placesOf } from '../members/memberEnds';
import { meetingOf } from './meeting';
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

/** Holes that a maker drills in plates and rounds, from each edge they are told from. */
function inParts(rig: Rig) {
  const parts = rig.bodies.flatMap((b) => b.parts);
  const connections = connectionsOf(rig, () => 0);
  return drilledElsewhere(rig, connections).flatMap(({ id: hole, piece, connection }) => {
    const part = parts.find((p) => p.id === piece);
    const { at, axis } = connections.find((c) => c.id === connection)!.holes.find((h) => h.piece === piece)!;
    const lengths = parts.filter((p) => (p.of ?? p.id) === piece);
    return part ? fromEdges(part, lengths, at, axis).map(({ edge, off }) => ({ member: piece, hole, edge, off })) : [];
  });
}

describe('a rig as it was made', () => {
  for (const { id } of FAMILIES)
    it(`${id}: made as drawn it is the drawing, to a thousandth of a hair`, () => {
      const { rig } = made(id, []);
      const entries = rig.bodies.flatMap((body) =>
        body.members.flatMap((m): readonly AsMade[] => [
          { kind: 'length', member: m.id, length: finishedLength(m, body) },
          ...m.holes.flatMap((h): readonly AsMade[] => [
            { kind: 'hole', member: m.id, hole: h.id, along: h.along },
            { kind: 'across', member: m.id, hole: h.id, across: h.across },
          ]),
          ...(m.path.kind === 'bent'
            ? m.path.segments
                .flatMap((s) => ('angle' in s && s.angle !== 0 ? [Math.abs(s.angle)] : []))
                .map((angle, bend): AsMade => ({ kind: 'bend', member: m.id, bend, angle }))
            : []),
        ]),
      );
      entries.push(...inParts(rig).map((h): AsMade => ({ kind: 'fromEdge', ...h })));
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

  it('a hole in a plate off its edge: what is fastened through it stands off by as much, a camera too, or it is told as tied', () => {
    const by = 0.003;
    const counts = { camera: 0, moved: 0, tied: 0 };
    for (const { id } of FAMILIES) {
      const { rig } = made(id, []);
      const holes = inParts(rig);
      for (const h of holes) {
        const off = made(id, [{ kind: 'fromEdge', ...h, off: h.off + by }]);
        if (off.tied.length > 0) {
          counts.tied++;
          expect([...places(off.rig)]).toEqual([...places(rig)]);
          continue;
        }
        const [was, is] = [places(rig), places(off.rig)];
        const shifts = [...was].map(([key, at]) => length(subtract(is.get(key)!, at)));
        const of = rig.bodies.flatMap((b) => b.connections ?? []).find((c) => holeId(h.member, c.id) === h.hole);
        if (of?.kind === 'bolted' && of.end.kind === 'camera') {
          counts.camera++;
          const mount = (r: Rig): Vec3 => assemble(r, null).mount!;
          expect(length(subtract(mount(off.rig), mount(rig)))).toBeCloseTo(by, 9);
        }
        for (const shift of shifts)
          expect(Math.min(shift, Math.abs(shift - by)))
            .withContext(`${id} ${h.hole}`)
            .toBeLessThan(1e-9);
        // The plate stays where it is.
        for (const [key, at] of was)
          if (key.includes(` ${h.member} `)) expect(length(subtract(is.get(key)!, at))).toBeLessThan(1e-9);
        // As far from its edge as was measured.
        expect(inParts(off.rig).find((o) => o.hole === h.hole && o.edge === h.edge)!.off)
          .withContext(`${id} ${h.hole}`)
          .toBeCloseTo(h.off + by, 9);
        counts.moved++;
      }
    }
    expect(counts.camera).toBeGreaterThan(5);
    expect(counts.moved).toBeGreaterThan(20);
  });

  it('a hole across the bar: what is bolted through it stands to the side', () => {
    const { rig } = made('gimballed-bent-bar', []);
    const hole = bodyWith(rig, 'bar').members[0]!.holes.find((h) => h.id.includes('rear') && !h.id.includes('stage'))!;
    const off = made('gimballed-bent-bar', [
      { kind: 'across', member: 'bar', hole: hole.id, across: hole.across + 0.002 },
    ]);
    const seat = (r: Rig): Vec3 => r.bodies.flatMap((b) => b.stations).find((s) => s.id === 'rear')!.seat;
    const shift = subtract(seat(off.rig), seat(rig));
    expect(Math.abs(shift[1])).toBeCloseTo(0.002, 9);
    expect(Math.hypot(shift[0], shift[2])).toBeLessThan(1e-9);
    expect(bodyWith(off.rig, 'bar').members[0]!.holes.find((h) => h.id === hole.id)!.across).toBeCloseTo(
      hole.across + 0.002,
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

  it('sets a pipe at another angle: all beyond it turns as one about the fitting, all before stays', () => {
    const { rig: drawn } = made('shoulder-rig', []);
    let turned = 0;
    for (const body of drawn.bodies)
      for (const joint of body.joints)
        for (const member of joint.joins)
          for (const beside of joint.joins) {
            const meets = member === beside ? null : meetingOf(body, member, joint.id, beside);
            if (!meets || Math.abs(Math.cos(meets.apart)) > 0.99) continue;
            const entry: AsMade = { kind: 'turn', member, joint: joint.id, beside, angle: meets.apart - 0.07 };
            const found = made('shoulder-rig', [entry]);
            if (found.tied.length > 0) continue;
            turned++;
            const after = meetingOf(bodyWith(found.rig, member), member, joint.id, beside)!;
            expect(after.apart).withContext(`${member} ${beside}`).toBeCloseTo(entry.angle, 9);
            expect(after.other).toEqual(meets.other);
            // Each place is where it was, or as far from the fitting as it was.
            const [was, is] = [places(drawn), places(found.rig)];
            let moved = 0;
            for (const [key, p] of was) {
              const q = is.get(key);
              if (!q || length(subtract(p, q)) < 1e-9) continue;
              moved++;
              const off = Math.abs(length(subtract(q, meets.centre)) - length(subtract(p, meets.centre)));
              // Glue lies between what it joins, wherever that is now.
              expect(off)
                .withContext(`${member} ${key}`)
                .toBeLessThan(/filler|glue/.test(key) ? 0.001 : 1e-7);
            }
            expect(moved).toBeGreaterThan(0);
            const back = made('shoulder-rig', [{ ...entry, angle: meets.apart }]);
            for (const [key, p] of places(back.rig)) expect(length(subtract(p, was.get(key)!))).toBeLessThan(1e-9);
          }
    expect(turned).toBeGreaterThan(3);
  });

  it('weighs a bar or a part as the scale said, and nothing else otherwise', () => {
    const massOf = (rig: Rig): ReadonlyMap<string, number> => {
      const of = new Map<string, number>();
      for (const { flat } of assemble(rig, null).pieces) of.set(flat.owner, (of.get(flat.owner) ?? 0) + flat.mass);
      return of;
    };
    const drawn = massOf(made('tube-frame', []).rig);
    for (const piece of ['platform', made('tube-frame', []).rig.bodies.flatMap((b) => b.members)[0]!.id]) {
      const { rig, idle } = made('tube-frame', [{ kind: 'mass', member: piece, mass: 0.1234 }]);
      expect(idle).toEqual([]);
      for (const [id, mass] of massOf(rig))
        expect(mass)
          .withContext(`${piece} ${id}`)
          .toBeCloseTo(id === piece ? 0.1234 : drawn.get(id)!, 9);
    }
    expect(made('tube-frame', [{ kind: 'mass', member: 'gone', mass: 0.1 }]).idle.length).toBe(1);
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
