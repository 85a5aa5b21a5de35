/** What can be done with the thing picked: where it is, how it is turned, what it weighs, what it is cut from, a copy, a mirror, away. */
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { mdiClose } from '@mdi/js';
import {
  cutLengthOf,
  figure,
  FITTING_NAMES,
  headsFor,
  HOLDS,
  isTabled,
  memberEnds,
  mountedAt,
  NUT_WORDS,
  nutsFor,
  ownStocks,
  partCopied,
  quaternionOf,
  RARER_THREADS,
  rotationAbout,
  showFigure,
  stockById,
  STOCK_OPTIONS,
  threadCalled,
  THREADS,
  upperFace,
  usualJointMass,
  type Body,
  type Edit,
  type Fitting,
  type Hold,
  type Member,
  type NutKind,
  type Quantity,
  type StackedLayer,
  type Vec3,
} from '@tide-pebble/core';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { Icon } from '../../ui/icon';
import { Notices } from '../../services/notices';
import { QuantityField } from '../../ui/figures/quantity-field';
import { elementName, elementOf, freeId } from './elements';

/** A kitchen scale with a step of 1 g: half a step either way, as a standard uncertainty, with its own drift. */
const SCALE_SPREAD = 0.0006;
/** A hand pushes a pipe home, or counts turns, to about this, m. */
const SHORT_SPREAD = 0.0005;
/** Fittings that join two pipes in line: one may stand for another. */
const STRAIGHT: readonly Fitting[] = ['coupling', 'union', 'maleAdapter', 'femaleAdapter', 'bush'];
const HOLD_NAMES: Readonly<Record<Hold, string>> = {
  threaded: 'its thread',
  glued: 'glue or cement',
  soldered: 'solder',
  pressed: 'pressed in dry',
  setScrew: 'a set screw',
  pinned: 'a pin',
};
const REACH: readonly [number, number] = [-3, 3];

type EditBody = Edit extends infer E ? (E extends Edit ? Omit<E, 'id'> : never) : never;

/** What a list offers beside what it knows. */
const ANOTHER = 'another';
/** A camera's socket is one of these. */
const CAMERA_THREADS = ['1/4-20', '3/8-16'];

@Component({
  selector: 'tp-element-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, QuantityField, Icon],
  templateUrl: './element-editor.html',
  styleUrl: './element-editor.css',
})
export class ElementEditor {
  private readonly workspace = inject(Workspace);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units).now;
  protected readonly icons = { close: mdiClose };
  protected readonly another = ANOTHER;
  private readonly own = toSignal(this.workspace.sizes$, { initialValue: [] });
  protected readonly stocks = computed(() => [...STOCK_OPTIONS, ...ownStocks(this.own())]);
  protected readonly holds = HOLDS.map((id) => ({ id, name: HOLD_NAMES[id] }));
  protected readonly fittingNames = FITTING_NAMES;
  protected readonly nutNames = NUT_WORDS;
  protected readonly headNames = { hexagon: 'hexagon', low: 'low, turned by a key', sunk: 'sunk flush' } as const;
  protected readonly reach = REACH;
  protected readonly ways = [
    { axis: 0, name: 'Forward of the middle' },
    { axis: 1, name: 'Left of the middle' },
    { axis: 2, name: 'Above the middle' },
  ] as const;
  protected readonly turns = [
    { name: 'Nose down', axis: [0, 1, 0] as Vec3 },
    { name: 'To the left', axis: [0, 0, 1] as Vec3 },
    { name: 'Left side down', axis: [-1, 0, 0] as Vec3 },
  ];

  readonly bench = input.required<Bench>();
  readonly target = input.required<string>();
  readonly closed = output<void>();
  readonly picked = output<string>();

  protected readonly found = computed(() => elementOf(this.bench().work.rig, this.target()));
  protected readonly name = computed(() => {
    const found = this.found();
    return found ? elementName(found) : '';
  });
  protected readonly twin = computed(() => {
    const found = this.found();
    return found && 'twin' in found.element ? (found.element.twin ?? null) : null;
  });
  /** The connection that brings it: its place and size are that connection's. */
  protected readonly broughtBy = computed(() => {
    const found = this.found();
    const by = found?.kind === 'part' ? found.element.by : undefined;
    if (by === undefined) return null;
    const { connections = [], joints } = found!.body;
    return [...connections, ...joints].find((c) => c.id === by)?.name ?? null;
  });
  /** The thread of the screw it is of, and what else it may have: threads, nuts, a spring washer. */
  protected readonly thread = computed(() => {
    const found = this.found();
    const by = found?.kind === 'part' ? found.element.by : undefined;
    const screw = found?.body.connections?.find((c) => c.id === by);
    if (screw?.kind !== 'bolted') return null;
    const isCamera = screw.end.kind === 'camera';
    const now = threadCalled(screw.thread);
    const usual = isCamera ? CAMERA_THREADS : [...THREADS, ...RARER_THREADS].map((t) => t.name);
    return {
      connection: screw.id,
      now: screw.thread,
      // On a rod of the rig, the rod's thread is its own.
      options: screw.screw !== undefined ? [] : usual.includes(screw.thread) ? usual : [...usual, screw.thread],
      canBeAny: !isCamera,
      isReckoned: now !== null && !isTabled(now),
      nut: screw.end.kind,
      nuts: nutsFor(screw),
      isLocked: screw.lockWasher !== undefined,
      head: screw.head ?? 'hexagon',
      heads: headsFor(screw),
      bites: screw.bites === true,
      // Only what is soft enough for a steel thread to cut its way.
      canBite: this.passesPlastic(screw.stack),
    };
  });
  /** What is being typed for a thread of one's own; null while one of the list is meant. */
  protected readonly typed = linkedSignal<string, string | null>({ source: this.target, computation: () => null });
  /** Where it is, when it has a place of its own. */
  protected readonly place = computed((): Vec3 | null => {
    const found = this.found();
    if (!found) return null;
    if (this.broughtBy()) return null;
    if (found.kind === 'part' || found.kind === 'node') return found.element.at;
    return found.kind === 'station' ? found.element.seat : null;
  });
  protected readonly mass = computed(() => {
    const found = this.found();
    if (!found || found.kind === 'node') return null;
    const own = this.bench().judged.evaluation.pieces.filter((p) => p.flat.owner === this.target());
    // A station is weighed by one of its washers.
    const one = this.bench().work.assembly.stacks.find((s) => s.station.id === this.target())?.one.mass;
    const mass = one ?? own.reduce((sum, p) => sum + p.flat.mass, 0);
    // A bolt or clamp counts once its mass is typed; till then parts stand for it, or it is too small.
    const usual = found.kind === 'joint' && !found.element.hub ? usualJointMass(found.element.fitting) : null;
    if (usual !== null && mass === 0)
      return { value: null, label: `Mass, not counted (usually ${showFigure(figure('mass', usual), this.units())})` };
    const measured =
      found.kind === 'joint'
        ? (found.element.hub ?? found.element).mass !== undefined
        : found.kind === 'station'
          ? found.element.washer.mass !== undefined
          : found.element.mass !== undefined && !('reckoned' in found.element && found.element.reckoned);
    return mass > 0
      ? {
          value: mass,
          label: `${found.kind === 'station' ? 'One washer weighs' : 'Mass'}${measured ? ', weighed' : ', reckoned'}`,
        }
      : null;
  });
  protected readonly member = computed(() => {
    const found = this.found();
    if (found?.kind !== 'member') return null;
    const nodes = new Map(found.body.nodes.map((n) => [n.id, n.at]));
    const ends = memberEnds(found.element, nodes, found.body.joints);
    const straight = found.element.path.kind === 'straight';
    return {
      stock: found.element.stock.name,
      cut: straight ? showFigure(figure('length', cutLengthOf(found.element, found.body), 1), this.units()) : null,
      ends: [ends.from, ends.to].flatMap((e, end) =>
        e.depth === null
          ? []
          : [
              {
                end: end as 0 | 1,
                joint: e.joint?.name ?? 'fitting',
                depth: e.depth,
                short: e.shortBy,
                name: end === 0 ? found.element.from : found.element.to,
              },
            ],
      ),
    };
  });
  protected readonly joint = computed(() => {
    const found = this.found();
    if (found?.kind !== 'joint') return null;
    const [socket] = found.element.hub?.sockets ?? [];
    const straight = found.element.hub?.sockets.length === 2 && STRAIGHT.includes(found.element.fitting);
    return {
      about: found.element.reversible ? 'comes apart' : 'cannot be undone',
      socket: socket ?? null,
      outer: found.element.hub?.outerRadius ?? null,
      hold: found.element.hold ?? null,
      room: found.element.loose?.clearance ?? 0,
      fitting: found.element.fitting,
      fittings: straight ? STRAIGHT : [],
    };
  });
  /** Of a plate or board: whether the load stands on it, and where; null for what can carry none. */
  protected readonly plate = computed(() => {
    const found = this.found();
    if (found?.kind !== 'part' || found.element.of || this.broughtBy() !== null) return null;
    const face = upperFace(found.element);
    if (!face) return null;
    return {
      carries: found.element.mount !== undefined,
      ways: [
        { key: 'forward', name: 'Camera forward of its middle', most: face.reach[0] },
        { key: 'left', name: 'Camera left of its middle', most: face.reach[1] },
      ] as const,
      at: mountedAt(found.body, found.element),
    };
  });
  protected readonly supply = computed(() => {
    const found = this.found();
    return found?.kind === 'part' ? (found.element.supply ?? null) : null;
  });
  protected readonly canCopy = computed(() => {
    const found = this.found();
    if (this.broughtBy() !== null) return false;
    return found?.kind === 'part' || (found?.kind === 'member' && found.element.path.kind === 'straight');
  });
  protected readonly canTurn = computed(
    () => this.broughtBy() === null && (this.found()?.kind === 'part' || this.found()?.kind === 'member'),
  );

  protected changeThread(connection: string, thread: string): void {
    if (thread === ANOTHER) return this.typed.set('');
    this.typed.set(null);
    this.apply('changing the thread', { kind: 'thread', target: connection, thread });
  }

  /** A thread that no list has, as its die says it; what is no thread is kept as typed and said beside it. */
  protected typeThread(connection: string, words: string): void {
    this.typed.set(words);
    const thread = threadCalled(words);
    if (thread) this.changeThread(connection, thread.name);
  }

  protected changeNut(connection: string, nut: NutKind): void {
    this.apply('changing the nut', { kind: 'fasten', target: connection, nut });
  }

  protected changeHead(connection: string, head: 'hexagon' | 'low' | 'sunk'): void {
    this.apply('changing the head', { kind: 'fasten', target: connection, head });
  }

  protected changeHoles(connection: string, holes: 'clear' | 'bite'): void {
    this.apply('its holes', { kind: 'fasten', target: connection, holes });
  }

  private passesPlastic(stack: readonly StackedLayer[]): boolean {
    const plastic = new Set(
      this.bench()
        .judged.evaluation.pieces.filter((p) => p.flat.look === 'plastic')
        .map((p) => p.flat.owner),
    );
    return stack.some((l) => l.kind === 'piece' && plastic.has(l.piece));
  }

  protected changeLock(connection: string, isLocked: boolean): void {
    this.apply('a spring washer', { kind: 'fasten', target: connection, lockWasher: isLocked ? 'spring' : 'none' });
  }

  protected moveTo(axis: 0 | 1 | 2, { value }: Quantity): void {
    const place = this.place();
    if (!place) return;
    const by = [0, 0, 0].map((_, i) => (i === axis ? value - place[i]! : 0)) as unknown as Vec3;
    this.apply('moving', { kind: 'move', target: this.target(), by }, `move ${this.target()}`);
  }

  protected turn(axis: Vec3, { value }: Quantity): void {
    if (value !== 0)
      this.apply('turning', { kind: 'turn', target: this.target(), turn: quaternionOf(rotationAbout(axis, value)) });
  }

  protected weigh(mass: Quantity): void {
    this.apply('weighing', {
      kind: 'weigh',
      target: this.target(),
      mass: { ...mass, spread: SCALE_SPREAD, source: `mass of ${this.target()}` },
    });
  }

  protected unweigh(): void {
    this.workspace.forgetWeight(this.target());
  }

  protected restock(id: string): void {
    const stock = stockById(id, this.own());
    if (stock) this.apply('changing what it is cut from', { kind: 'restock', target: this.target(), stock });
  }

  protected short(end: 0 | 1, by: Quantity): void {
    this.apply('how far it goes in', {
      kind: 'short',
      target: this.target(),
      end,
      by: { ...by, spread: SHORT_SPREAD, source: `how far ${this.target()} is pushed home` },
    });
  }

  protected measureFitting(change: {
    takeOff?: number;
    depth?: number;
    outerRadius?: number;
    hold?: Hold;
    fitting?: Fitting;
    clearance?: number;
  }): void {
    this.apply('measuring a fitting', { kind: 'fitting', target: this.target(), ...change });
  }

  protected standHere(): void {
    if (this.apply('the camera on', { kind: 'mount', target: this.target(), forward: 0, left: 0 }))
      this.notices.sayWithUndo(`The camera stands on the ${this.name()}; its screw went with it.`);
  }

  protected standAt(at: { readonly forward: number; readonly left: number }, key: keyof typeof at, to: number): void {
    const place = { ...at, [key]: to };
    this.apply('the camera on', { kind: 'mount', target: this.target(), ...place }, `mount ${this.target()}`);
  }

  protected copy(): void {
    const found = this.found();
    if (found?.kind === 'member') return this.copyMember(found.body, found.element);
    if (found?.kind !== 'part') return;
    const id = freeId(this.bench().work.rig, found.element.id.replace(/-\d+$/, ''));
    // A little to the side, so that two things are seen.
    const moved = partCopied(found.element, id, [0.02, 0, 0]);
    if (this.apply('copying', { kind: 'add', body: found.body.id, part: moved })) this.picked.emit(id);
  }

  protected mirror(): void {
    const found = this.found();
    if (found?.kind === 'member') return this.mirrorMember(found.body, found.element);
    if (found?.kind !== 'part' || found.element.twin) return;
    if (Math.abs(found.element.at[1]) < 0.001)
      return this.notices.say('It stands in the middle plane: its mirror image would be in its place.');
    const id = freeId(this.bench().work.rig, found.element.id.replace(/-\d+$/, ''));
    const part = partCopied(found.element, id, [0, 0, 0]);
    // The pair is added as one: from then on what is done to one is done to both.
    const pair: readonly Edit[] = [
      { kind: 'add', id: crypto.randomUUID(), body: found.body.id, part: { ...part, twin: `${id}-twin` } },
      { kind: 'remove', id: crypto.randomUUID(), target: this.target() },
    ];
    if (this.workspace.edit(`mirroring ${this.name()}`, pair)) this.picked.emit(id);
  }

  /** A bar of the same stock between corners of its own, a little further out; its ends are bare until something meets them. */
  private copyMember(body: Body, member: Member): void {
    const { rig } = this.bench().work;
    const id = freeId(rig, member.id.replace(/-\d+$/, ''));
    const nodes = [member.from, member.to].map((n, i) => {
      const [x, y, z] = body.nodes.find((o) => o.id === n)!.at;
      return { id: `${id}-end-${i + 1}`, at: [x + 0.03, y, z] as Vec3 };
    });
    const { twin: _twin, shortBy: _short, ...rest } = member;
    const holes = member.holes.map((h) => ({ ...h, id: `${h.id}-${id}` }));
    if (
      this.apply('copying', {
        kind: 'addMember',
        body: body.id,
        nodes,
        member: { ...rest, id, from: nodes[0]!.id, to: nodes[1]!.id, holes },
        joints: [],
      })
    )
      this.picked.emit(id);
  }

  /** The bar's mirror image on the other side, between mirrored corners; the two are a pair from then on. */
  private mirrorMember(body: Body, member: Member): void {
    if (member.twin) return;
    const { rig } = this.bench().work;
    const at = (node: string): Vec3 => body.nodes.find((o) => o.id === node)!.at;
    if ([member.from, member.to].every((n) => Math.abs(at(n)[1]) < 0.001))
      return this.notices.say('It lies in the middle plane: its mirror image would be in its place.');
    const id = freeId(rig, member.id.replace(/-\d+$/, ''));
    const nodes = [member.from, member.to].map((n, i) => ({
      id: `${id}-end-${i + 1}`,
      at: at(n),
      twin: `${id}-end-${i + 1}-twin`,
    }));
    const { shortBy: _short, ...rest } = member;
    const edits: readonly Edit[] = [
      {
        kind: 'addMember',
        id: crypto.randomUUID(),
        body: body.id,
        nodes,
        member: { ...rest, id, from: nodes[0]!.id, to: nodes[1]!.id, twin: `${id}-twin`, holes: [] },
        joints: [],
      },
      { kind: 'remove', id: crypto.randomUUID(), target: member.id },
    ];
    if (this.workspace.edit(`mirroring ${this.name()}`, edits)) this.picked.emit(id);
  }

  protected remove(): void {
    const name = this.name();
    if (this.apply('removing', { kind: 'remove', target: this.target() })) {
      this.closed.emit();
      this.notices.sayWithUndo(`The ${name} is off the rig.`);
    }
  }

  private apply(label: string, edit: EditBody, merge: string | null = null): boolean {
    const done = this.workspace.edit(`${label} ${this.name()}`, { ...edit, id: crypto.randomUUID() } as Edit, merge);
    if (!done) this.notices.say('That cannot be done with this part.');
    return done;
  }
}
