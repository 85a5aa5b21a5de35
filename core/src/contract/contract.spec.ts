import {
  adoptDocuments,
  adoptRigFile,
  BODY_SCHEMAS,
  DOCUMENT_KINDS,
  faultLine,
  migrateRigFile,
  parseRigFile,
  readRigFile,
  readWith,
  rigFileOf,
  type RigFile,
} from '.';
import { analyse } from '../9-design/analyse';
import { camera, lens, loadout, plainRig, wants } from '../testing/rigs';
import { rigFileJsonSchema } from './jsonSchema';
import { addMatrix, multiply, transpose, type Mat3, type Vec3 } from '../0-base';
import { carryOver } from '../1-load';
import { FAMILIES } from '../2-frame';

const rigDocument = {
  id: 'r1',
  name: 'Plain',
  notes: '',
  design: { kind: 'free' as const, rig: plainRig },
  wants,
  loadout: 'ebb',
  done: {},
  kerf: 0.002,
};
const file: RigFile = {
  format: 'tide-pebble-rig',
  version: 1,
  rig: rigDocument,
  kit: [camera, lens],
  loadouts: [loadout],
  setups: [],
};
const faultsOf = (change: (f: Record<string, unknown>) => void): string => {
  const copy = JSON.parse(JSON.stringify(file)) as Record<string, unknown>;
  change(copy);
  const read = readRigFile(copy);
  return read.ok ? '' : read.faults.map(faultLine).join('; ');
};
type Loose = Record<string, Record<string, unknown>> & { kit: Record<string, unknown>[] };

describe('a line of versions', () => {
  const at = '2026-06-14T10:00:00.000Z';
  const second = {
    ...rigDocument,
    id: 'r2',
    loadout: null,
    version: { line: 'r1', number: 2, from: 'r1', begun: at, wish: '', entries: ['e1'] },
  };
  it('brought in beside rigs of the same ids stays one line, apart from theirs', () => {
    let n = 0;
    const bodies = [{ ...rigDocument, loadout: null }, second].map((body) => ({
      kind: 'rig' as const,
      id: body.id,
      body,
    }));
    const brought = adoptDocuments(
      bodies,
      () => ({ other: true }),
      () => `new-${n++}`,
      { called: 'from backup' },
    );
    const rigs = brought.map((b) => b.body as typeof second);
    expect(rigs.map((r) => r.id)).toEqual(['new-0', 'new-1']);
    expect([rigs[1]!.version.line, rigs[1]!.version.from]).toEqual(['new-0', 'new-0']);
  });
  it('is left behind by one that comes in alone', () => {
    const brought = adoptRigFile(
      { ...file, rig: second },
      () => null,
      () => 'new',
    );
    expect('version' in (brought.find((b) => b.kind === 'rig')!.body as object)).toBeFalse();
  });
});

describe('the rig file', () => {
  it('reads back what was written', () => {
    const read = parseRigFile(JSON.stringify(file));
    expect(read.ok && read.value).toEqual(JSON.parse(JSON.stringify(file)));
  });
  it('names the field that is wrong and what would be right', () => {
    expect(faultsOf((f) => ((f as Loose)['rig']!['kerf'] = -1))).toBe('rig.kerf must be at least 0');
    expect(faultsOf((f) => delete (f as Loose)['rig']!['name'])).toBe('rig.name is missing');
    expect(faultsOf((f) => ((f as Loose).kit[0]!['mass'] = { value: -2 }))).toBe(
      'kit.0.mass.value must be more than 0',
    );
    expect(faultsOf((f) => ((f as Loose).kit[0]!['class'] = 'boat'))).toContain('kit.0.class must be one of: camera');
    expect(faultsOf((f) => ((f as Loose)['rig']!['colour'] = 'red'))).toBe('rig has keys that are not known: colour');
    expect(faultsOf((f) => (f['format'] = 'other'))).toContain('format must be');
    expect(faultsOf((f) => (f['version'] = 99))).toContain('newer Tide Pebble');
    expect(faultsOf((f) => (f['version'] = 'one'))).toContain('whole number');
    expect(faultsOf((f) => delete f['rig'])).toBe('rig is missing');
    for (const text of [
      '',
      '{',
      '[]',
      '7',
      'null',
      '"rig"',
      '{"format":"tide-pebble-rig","version":1,"rig":{"design":{"kind":"raft"}}}',
    ])
      expect(parseRigFile(text).ok).withContext(text).toBeFalse();
  });
  it('of an older form is brought up one step at a time', () => {
    const steps = [
      (f: object) => ({ ...f, version: 2, kind: 'two' }),
      (f: object) => ({ ...f, version: 3, three: true }),
    ];
    const read = migrateRigFile({ format: 'tide-pebble-rig', version: 2, rig: {} }, steps);
    expect(read.ok && read.value).toEqual({ format: 'tide-pebble-rig', version: 3, rig: {}, three: true });
    expect(migrateRigFile({ format: 'tide-pebble-rig', version: 4, rig: {} }, steps).ok).toBeFalse();
  });
  it('is published as a JSON Schema that refuses unknown keys', () => {
    const schema = rigFileJsonSchema() as {
      properties: { rig: { properties: object; additionalProperties: boolean } };
    };
    expect(Object.keys(schema.properties.rig.properties)).toContain('design');
    expect(schema.properties.rig.additionalProperties).toBeFalse();
  });
  it('comes in beside what is here: the same kit is shared, other kit and the rig get ids of their own', () => {
    const held = new Map<string, unknown>([
      ['kit cam', camera],
      ['kit lens', { ...lens, name: 'Another lens' }],
      ['rig r1', rigDocument],
    ]);
    let n = 0;
    const made = adoptRigFile(
      file,
      (kind, id) => held.get(`${kind} ${id}`) ?? null,
      () => `new-${++n}`,
    );
    expect(made.map((d) => d.kind)).toEqual(['kit', 'loadout', 'rig']);
    expect(made[0]!.id).not.toBe('lens');
    const rig = made.find((d) => d.kind === 'rig')!;
    expect(rig.body).toEqual(jasmine.objectContaining({ name: 'Plain (imported)', loadout: 'ebb' }));
    const onto = made.find((d) => d.kind === 'loadout')!.body as typeof loadout;
    expect(onto.items[1]!.item).toBe(made[0]!.id);
    for (const d of made) expect(readWith<unknown>(BODY_SCHEMAS[d.kind], d.body).ok).toBeTrue();
  });
  it('of a rig takes along the loadouts and kit it needs, and no others', () => {
    const other = { ...loadout, id: 'flood', name: 'Flood', items: [] };
    const made = rigFileOf(rigDocument, {
      kit: [camera, lens, { ...lens, id: 'spare' }],
      loadouts: [loadout, other],
      setups: [],
    });
    expect(made.kit.map((k) => k.id)).toEqual(['cam', 'lens']);
    expect(made.loadouts.map((l) => l.id)).toEqual(['ebb']);
  });
  it('knows a schema for every kind of document', () =>
    expect(DOCUMENT_KINDS.every((k) => BODY_SCHEMAS[k] !== undefined)).toBeTrue());
});

describe('analysing a file', () => {
  interface Printed {
    mass: number;
    massCentre: Vec3;
    inertiaAboutMassCentre: Mat3;
    hung: { carries: string; mass: number; massCentreFromPivot: Vec3; pivotAt: Vec3 };
    bodies: { mass: number; centre: Vec3; rotation: Mat3; inertiaAboutOwnCentre: Mat3; rigBody: string }[];
    findings: { code: string }[];
  }
  it('of a rig of no family gives figures that an outsider can add up from its list of bodies', () => {
    const outcome = analyse(file, 'Ebb');
    if (!outcome.ok) return fail(outcome.reason);
    const printed = JSON.parse(JSON.stringify(outcome.result)) as Printed;
    const mass = printed.bodies.reduce((m, b) => m + b.mass, 0);
    expect(printed.mass).toBeCloseTo(mass, 12);
    const centre = [0, 1, 2].map((i) => printed.bodies.reduce((s, b) => s + b.mass * b.centre[i]!, 0) / mass);
    centre.forEach((c, i) => expect(printed.massCentre[i]).toBeCloseTo(c, 12));
    const inertia = printed.bodies.reduce<Mat3>(
      (sum, b) => {
        const d: Vec3 = [b.centre[0] - centre[0]!, b.centre[1] - centre[1]!, b.centre[2] - centre[2]!];
        return addMatrix(
          sum,
          addMatrix(
            multiply(multiply(b.rotation, b.inertiaAboutOwnCentre), transpose(b.rotation)),
            carryOver(b.mass, d),
          ),
        );
      },
      [
        [0, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ],
    );
    inertia.flat().forEach((x, i) => expect(printed.inertiaAboutMassCentre.flat()[i]).toBeCloseTo(x, 12));
    const hung = printed.bodies.filter((b) => b.rigBody === printed.hung.carries);
    expect(printed.hung.mass).toBeCloseTo(
      hung.reduce((m, b) => m + b.mass, 0),
      12,
    );
  });
  it('finds the same whether the rig stands in the file as a family or as plain data', () => {
    const family = FAMILIES[0]!;
    const asFamily: RigFile = {
      ...file,
      rig: { ...rigDocument, design: { kind: 'family', family: family.id, dimensions: {}, choices: {}, edits: [] } },
    };
    const usual = {
      dimensions: Object.fromEntries(family.dimensions.map((d) => [d.id, d.usual])),
      choices: Object.fromEntries(family.choices.map((c) => [c.id, c.usual])),
    };
    const asData: RigFile = { ...file, rig: { ...rigDocument, design: { kind: 'free', rig: family.build(usual) } } };
    const figures = (f: RigFile): unknown => {
      const outcome = analyse(JSON.parse(JSON.stringify(f)) as RigFile, null);
      // Through text, as it is printed: a minus zero is a zero there.
      return outcome.ok ? JSON.stringify({ ...outcome.result, findings: null }) : outcome.reason;
    };
    expect(figures(asData)).toEqual(figures(asFamily));
  });
  it('says which loadouts there are when asked for another, and what family it does not know', () => {
    expect(analyse(file, 'Spring')).toEqual({ ok: false, reason: 'No loadout “Spring” in this file. It has: Ebb.' });
    expect(
      analyse(
        {
          ...file,
          rig: { ...rigDocument, design: { kind: 'family', family: 'kelp', dimensions: {}, choices: {}, edits: [] } },
        },
        null,
      ).ok,
    ).toBeFalse();
  });
});
