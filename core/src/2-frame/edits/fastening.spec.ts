import { applyEdits, connectionsOf, FAMILIES, hardwareOf, headsFor, withHardware, withoutHardware } from '..';
import { fastenerMass } from '../hardware/fastenerMass';
import { LOW_HEAD, TAPPING_HOLE } from '../hardware/sizes';
import { threadCalled } from '../hardware/thread';
import { familyInput } from '../family';
import { partOf, rigOf } from '../../testing/partsRig';
import type { Bolted, Edit, Rig } from '../../model';

type Fasten = Omit<Extract<Edit, { kind: 'fasten' }>, 'kind' | 'id' | 'target'>;
const fastened = (rig: Rig, target: string, change: Fasten): Rig | null => {
  const { rig: made, unapplied } = applyEdits(rig, [{ kind: 'fasten', id: 'e', target, ...change }]);
  return unapplied.length > 0 ? null : made;
};
const boltsOf = (rig: Rig): readonly Bolted[] =>
  rig.bodies.flatMap((b) => b.connections ?? []).flatMap((c) => (c.kind === 'bolted' ? [c] : []));

const plates = (material: string, more: Partial<Bolted> = {}): Rig =>
  rigOf(
    [
      partOf('top', { kind: 'box', size: [0.06, 0.04, 0.008] }, [0, 0, 0.004], { material }),
      partOf('low', { kind: 'box', size: [0.06, 0.04, 0.006] }, [0, 0, -0.003]),
    ],
    {
      connections: [
        {
          kind: 'bolted',
          id: 'bolt',
          name: 'bolt',
          on: 'top',
          point: [0, 0, 0.008],
          way: [0, 0, -1],
          thread: 'M6',
          stack: ['top', 'low'].map((piece) => ({ kind: 'piece' as const, piece })),
          end: { kind: 'nut' },
          ...more,
        },
      ],
    },
  );
const madeOf = (rig: Rig) => connectionsOf(withHardware(rig), () => 0).find((c) => c.id === 'bolt')!;
const itemsOf = (rig: Rig): readonly string[] =>
  withHardware(rig).bodies.flatMap((b) => b.parts.filter((p) => p.by && !p.of).map((p) => p.name));

describe('how a screw is made: its head and its holes', () => {
  it('a low head is a part of a ball less its key, its screw as long as before', () => {
    const [before, after] = [plates('aluminium'), fastened(plates('aluminium'), 'bolt', { head: 'low' })!];
    expect(itemsOf(before)[0]).toContain('hexagon');
    expect(itemsOf(after)[0]).toBe('M6 × 25 low-head screw');
    expect(madeOf(after).screwLength).toBe(madeOf(before).screwLength);
    const [wide, high] = [LOW_HEAD.diameter.of({ name: 'M6' })!, LOW_HEAD.height.of({ name: 'M6' })!];
    const ball = ((wide / 2) ** 2 + high ** 2) / (2 * high);
    // Thin discs, by hand.
    const slices = Array.from({ length: 4000 }, (_, i) => ((i + 0.5) * high) / 4000);
    const areas = slices.map((z) => Math.PI * (ball ** 2 - (z + ball - high) ** 2));
    const volume = areas.reduce((s, a) => s + (a * high) / 4000, 0);
    const middle = areas.reduce((s, a, i) => s - (a * slices[i]! * high) / 4000, 0) / volume;
    const { mass, centre } = fastenerMass(
      {
        type: 'lowHeadScrew',
        at: 0,
        headDiameter: wide,
        headHeight: high,
        threadDiameter: 0.006,
        pitch: 0.001,
        length: 1e-12,
        threadLength: 0,
      },
      1000,
    );
    expect(mass / 1000).toBeCloseTo(volume, 12);
    expect(centre).toBeCloseTo(middle, 8);
  });

  it('a head sunk deeper than its plate is thick is told, and a low one is not', () => {
    const thin = rigOf([partOf('top', { kind: 'box', size: [0.06, 0.04, 0.003] }, [0, 0, 0.0015])]);
    const [low] = plates('aluminium').bodies[0]!.connections!;
    const rig: Rig = {
      ...thin,
      bodies: [
        {
          ...thin.bodies[0]!,
          parts: [...thin.bodies[0]!.parts, plates('aluminium').bodies[0]!.parts[1]!],
          connections: [{ ...(low as Bolted), point: [0, 0, 0.003] }],
        },
      ],
    };
    const said = (head: 'sunk' | 'low'): string =>
      JSON.stringify(hardwareOf(fastened(rig, 'bolt', { head })!, null).faults);
    expect(said('sunk')).toContain('take a low head');
    expect(said('low')).not.toContain('take a low head');
  });

  it('drilled under size only what is plastic; the steel beside it is drilled clear', () => {
    const rig = fastened(plates('petg'), 'bolt', { holes: 'bite' })!;
    const [top, low] = ['top', 'low'].map((piece) => madeOf(rig).holes.find((h) => h.piece === piece)!);
    expect(top!.diameter).toBe(TAPPING_HOLE.of(threadCalled('M6')!)!);
    expect(top!.bitten).toBeTrue();
    expect(low!.thread).toBeNull();
    expect(low!.diameter).toBeGreaterThan(0.006);
    const clear = fastened(rig, 'bolt', { holes: 'clear' })!;
    expect(madeOf(clear).holes.every((h) => h.thread === null)).toBeTrue();
  });

  it('only a screw of its own has another head; what a nut has on it stays when the head is changed', () => {
    for (const family of FAMILIES) {
      const rig = withoutHardware(family.build(familyInput(family, {}, {}).input));
      for (const bolt of boltsOf(rig)) {
        const low = fastened(rig, bolt.id, { head: 'low' });
        if (headsFor(bolt).length === 0) expect(low).withContext(`${family.id} ${bolt.id}`).toBeNull();
        else {
          const after = boltsOf(low!).find((b) => b.id === bolt.id)!;
          expect({ ...after, head: undefined })
            .withContext(bolt.id)
            .toEqual({ ...bolt, head: undefined });
          expect(
            boltsOf(fastened(low!, bolt.id, { head: 'hexagon' })!).find((b) => b.id === bolt.id)!.head,
          ).toBeUndefined();
        }
      }
    }
  });
});
