/** What the rig's connections say is put together: screws through their stacks, grips over pipes, rings in bores; and the holes they need in plates and fittings. */
import { figure, say, type Phrase } from '../../0-base';
import { connectionsOf, jointName, type Connection, type ConnectionKind } from '../../2-frame';
import { holeSheets } from '../../5-stock';
import type { BuildStep, StepMaker } from '../step';
import { workedAs } from '../workedAs';

export const connectStep = (connection: string): string => `connect:${connection}`;

export const AND = new Intl.ListFormat('en-GB', { type: 'conjunction' });
const CAUTION = 'Sleeves and hair back. Clamp the piece: a caught bit spins it.';

interface Words {
  readonly title: (pieces: readonly string[], connection: Connection) => Phrase;
  readonly tool: string;
  readonly check: Phrase;
  readonly minutes: number;
}
const WORDS: Readonly<Record<ConnectionKind, Words>> = {
  bolted: {
    // A screw that ends in neither nut nor piece waits for what is screwed on later: the camera.
    title: (pieces, c) =>
      pieces.length > 1 && (c.hardware.includes(`${c.id}/nut`) || c.holes.some((h) => h.thread))
        ? say`Bolt the ${AND.format(pieces)} together`
        : say`Put the ${c.name} through the ${AND.format(pieces)}`,
    tool: 'spanners',
    check: say`The head sits flat, and nothing turns when you twist it by hand.`,
    minutes: 4,
  },
  slidOn: {
    title: ([piece, over]) => say`Slide the ${piece ?? ''} over the ${over ?? ''}`,
    tool: 'soapy water',
    check: say`It sits where the hand goes and does not turn.`,
    minutes: 3,
  },
  seated: {
    title: ([piece, into]) => say`Set the ${piece ?? ''} into the ${into ?? ''}`,
    tool: 'hand',
    check: say`It fills the bore without force and without rattle.`,
    minutes: 2,
  },
  socketed: {
    title: ([pipe, fitting]) => say`Put the ${pipe ?? ''} into the ${fitting ?? ''}`,
    tool: 'hand',
    check: say`It is home to its mark and points where it should.`,
    minutes: 4,
  },
  clamped: {
    title: ([piece, on]) => say`Clamp the ${piece ?? ''} on the ${on ?? ''}`,
    tool: 'hex key or spanner',
    check: say`It does not move when you push and twist it by hand.`,
    minutes: 4,
  },
  bonded: {
    title: (pieces) => say`Glue the ${AND.format(pieces)} together`,
    tool: 'clamps, a rag',
    check: say`A thin line of glue shows all round, and nothing has slid.`,
    minutes: 12,
  },
  laid: {
    title: ([piece, on]) => say`Lay the ${piece ?? ''} on the ${on ?? ''}`,
    tool: 'hand',
    check: say`It lies flat and does not peel at its edges.`,
    minutes: 3,
  },
  screwedIn: {
    title: ([piece, into]) => say`Screw the ${piece ?? ''} into the ${into ?? ''}`,
    tool: 'screwdriver',
    check: say`It pulls up tight and its thread does not slip.`,
    minutes: 4,
  },
  hinged: {
    title: ([held, carried]) => say`Join the ${held ?? ''} and the ${carried ?? ''} so that they turn`,
    tool: 'spanners',
    check: say`It turns freely all the way, and does not rattle.`,
    minutes: 5,
  },
  welded: {
    title: (pieces) => say`Weld the ${AND.format(pieces)} together`,
    tool: 'welder',
    check: say`The seam is closed all round.`,
    minutes: 15,
  },
};

export const connecting: StepMaker = {
  id: 'connecting',
  place: 45,
  make: ({ rig }) => {
    const counts = new Map(rig.bodies.flatMap((b) => b.stations).map((s) => [s.id, s]));
    const stated = new Set(rig.bodies.flatMap((b) => b.connections ?? []).map((c) => c.id));
    const connections = connectionsOf(rig, (station) => counts.get(station)?.count ?? 0).filter((c) =>
      stated.has(c.id),
    );
    if (connections.length === 0) return [];
    const names = namesOf(rig);
    const mitred = new Set(
      rig.bodies.flatMap((b) => b.connections ?? []).flatMap((c) => (c.kind === 'bonded' && c.mitred ? [c.id] : [])),
    );
    const drills = holeSheets(rig).flatMap(({ piece, name, marks }) => {
      const worked = workedAs(rig, piece);
      return marks.map((hole): BuildStep => ({
        id: `drill:${hole.id}`,
        about: piece,
        final: true,
        minutes: 6,
        needs: [],
        makes: [hole.id],
        handles: [piece],
        title: hole.thread
          ? say`Drill the ${name} for the ${hole.name} and tap it ${hole.thread}`
          : say`Drill the ${name} for the ${hole.name}`,
        tool: [
          worked.begin,
          'drill',
          ...(hole.thread ? [`${hole.thread} tap`] : []),
          ...(hole.sunk ? ['countersink'] : []),
        ].join(', '),
        figures: [
          hole.place,
          say`${figure('drill', hole.diameter)}`,
          ...(worked.drilled ? [say`${worked.drilled}`] : []),
          ...(hole.recess
            ? [
                say`first ${figure('drill', hole.recess.diameter)}, ${figure('length', hole.recess.depth, 1)} deep, for its head`,
              ]
            : []),
          ...(hole.deep === null
            ? []
            : [say`thread ${figure('length', hole.deep, 1)} deep${worked.tapped ? `, ${worked.tapped}` : ''}`]),
        ],
        check: hole.thread
          ? say`The screw runs in by hand and does not wobble.`
          : hole.sunk
            ? say`The screw passes without rattle, and its head lies flush.`
            : say`The screw passes without force and without rattle.`,
        caution: `${worked.care} ${CAUTION}`,
      }));
    });
    const seats = connections.filter((c) => c.kind === 'seated');
    return [
      ...drills,
      ...connections.map((c): BuildStep => {
        const words = WORDS[c.kind];
        return {
          id: connectStep(c.id),
          about: c.pieces[0] ?? c.id,
          final: !c.reversible,
          minutes: words.minutes,
          needs: [
            ...c.holes.map((h) => `drill:${h.piece}/hole/${c.id}`),
            // What sits in a piece goes in before that piece is joined to others.
            ...(c.kind === 'seated'
              ? []
              : seats.filter((s) => c.pieces.includes(s.pieces[1]!)).map((s) => connectStep(s.id))),
          ],
          does: [c.id],
          handles: [...c.pieces, ...c.hardware],
          title: words.title([...new Set(c.pieces.map(names))], c),
          tool: words.tool,
          figures: [
            ...(mitred.has(c.id) ? [say`first the end sawn so that it lies flat on the other`] : []),
            ...(c.hardware.length === 0 ? [] : [say`with ${AND.format(c.hardware.map(names))}`]),
          ],
          check: words.check,
          caution: null,
        };
      }),
    ];

    function namesOf({ bodies }: typeof rig): (id: string) => string {
      const known = new Map(
        bodies.flatMap((b) => [
          ...[...b.members, ...b.parts].map((e) => [e.id, e.name] as const),
          ...b.joints.map((j) => [j.id, jointName(j, b)] as const),
        ]),
      );
      for (const station of counts.values())
        for (let n = 1; n <= station.count; n++) known.set(`${station.id}/${n}`, station.washer.name);
      return (id) => known.get(id) ?? 'piece';
    }
  },
};
