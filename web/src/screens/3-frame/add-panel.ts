/** Add to the rig: a part from the list, a pipe or bar from a corner, a bolt for washers. */
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import {
  BORROWED,
  braceBetween,
  cornersFor,
  hubOf,
  jointFacts,
  PART_LIBRARY,
  ownStocks,
  pipeWith,
  render,
  stockById,
  STOCK_OPTIONS,
  unit,
  washerOf,
  withoutHardware,
  WASHERS,
  type Edit,
  type Joint,
  type Node,
  type Vec3,
} from '@tide-pebble/core';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { Notices } from '../../services/notices';
import { QuantityField } from '../../ui/figures/quantity-field';
import { settled } from '../../ui/timing/settled';
import { elementOf, freeId, nodeName } from './elements';

const WAYS: Readonly<Record<string, Vec3>> = {
  forward: [1, 0, 0],
  back: [-1, 0, 0],
  'to the left': [0, 1, 0],
  'to the right': [0, -1, 0],
  up: [0, 0, 1],
  down: [0, 0, -1],
  'forward and up': [1, 0, 1],
  'forward and down': [1, 0, -1],
  'back and up': [-1, 0, 1],
  'back and down': [-1, 0, -1],
  'left and up': [0, 1, 1],
  'right and up': [0, -1, 1],
};

@Component({
  selector: 'tp-add-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatCheckbox, QuantityField],
  templateUrl: './add-panel.html',
  styleUrl: './add-panel.css',
})
export class AddPanel {
  private readonly workspace = inject(Workspace);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units).now;
  protected readonly library = PART_LIBRARY;
  protected readonly own = toSignal(this.workspace.sizes$, { initialValue: [] });
  protected readonly stocks = computed(() => [...STOCK_OPTIONS, ...ownStocks(this.own())]);
  protected readonly ways = Object.keys(WAYS);
  protected readonly washers = computed(() => [
    ...Object.entries(WASHERS).map(([id, w]) => ({ id, name: w.name })),
    ...this.own().flatMap((o) => (o.kind === 'washer' ? [{ id: o.id, name: o.washer.name }] : [])),
  ]);

  readonly bench = input.required<Bench>();
  readonly picked = input<string | null>(null);
  readonly added = output<string>();

  protected readonly part = signal(PART_LIBRARY[0]!.id);
  protected readonly borrowed = BORROWED;
  protected readonly piece = signal(BORROWED[0]!.id);
  protected readonly stock = signal(STOCK_OPTIONS[0]!.id);
  protected readonly way = signal('forward');
  protected readonly length = signal(0.15);
  protected readonly washer = signal(Object.keys(WASHERS)[0]!);
  private readonly cornerId = signal<string | null>(null);

  /** The body that is added to: the picked thing's, else the one that carries the load. */
  private readonly body = computed(() => {
    const { rig } = this.bench().work;
    const found = this.picked() ? elementOf(rig, this.picked()!) : null;
    return found?.body ?? rig.bodies.find((b) => b.parts.some((p) => p.mount)) ?? rig.bodies.at(-1)!;
  });
  /** The list to choose from may wait till edits pause: a frame has hundreds of corners. */
  private readonly still = settled(this.bench);
  protected readonly corners = computed(() => {
    const body = this.still()?.work.rig.bodies.find((b) => b.id === this.bodyId());
    return body ? body.nodes.map((n) => ({ id: n.id, name: nodeName(n.id) })) : [];
  });
  private readonly bodyId = computed(() => this.body().id);
  protected readonly corner = computed(() => {
    const asked = this.cornerId() ?? this.picked();
    return this.corners().find((c) => c.id === asked)?.id ?? this.corners()[0]?.id ?? null;
  });

  /** Corners that a bolt goes through, for a bar between two of them. */
  protected readonly boltable = computed(() => {
    const body = this.still()?.work.rig.bodies.find((b) => b.id === this.bodyId());
    return body ? cornersFor(body).map((id) => ({ id, name: nodeName(id) })) : [];
  });
  protected readonly flats = computed(() =>
    this.stocks().filter((s) => stockById(s.id, this.own())?.section.kind === 'flat'),
  );
  protected readonly flat = linkedSignal(() => this.flats()[0]?.id ?? '');
  protected readonly braceFrom = linkedSignal(() => this.boltable()[0]?.id ?? null);
  protected readonly braceTo = linkedSignal(() => this.boltable()[1]?.id ?? null);
  protected readonly folds = signal(false);

  protected pickCorner(id: string): void {
    this.cornerId.set(id);
  }

  protected addPart(): void {
    const kind = PART_LIBRARY.find((p) => p.id === this.part())!;
    const id = freeId(this.bench().work.rig, kind.id);
    this.keep(
      { kind: 'add', id: crypto.randomUUID(), body: this.body().id, part: kind.make(id, this.near()) },
      kind.name,
      id,
    );
  }

  protected borrow(): void {
    const piece = BORROWED.find((p) => p.id === this.piece())!;
    const { rig } = this.bench().work;
    const id = freeId(rig, piece.id);
    const body = this.body().id;
    const { parts, contact, pose } = piece.make(id, body, this.near(), rig);
    const edits = parts.map((part, i): Edit => ({
      kind: 'add',
      id: crypto.randomUUID(),
      body,
      part,
      ...(i === 0 ? { hold: { contact, pose } } : {}),
    }));
    if (this.workspace.edit(`borrowing a ${piece.name}`, edits)) this.added.emit(id);
    else this.notices.say('It could not be added there: pick another part first.');
  }

  protected addBar(): void {
    const stock = stockById(this.stock(), this.own());
    const corner = this.body().nodes.find((n) => n.id === this.corner());
    if (!stock || !corner)
      return this.notices.say('This rig has no corner to start a bar from: pick a body that has one.');
    const direction = unit(WAYS[this.way()]!);
    const { rig } = this.bench().work;
    const id = freeId(rig, 'bar');
    const end: Node = {
      id: freeId(rig, 'end'),
      at: [0, 1, 2].map((i) => corner.at[i]! + direction[i]! * this.length()) as unknown as Vec3,
    };
    // A pipe brings its fittings: one is found at the corner, a cap closes the far end.
    const { system, size } = pipeWith(this.stock(), this.own()) ?? {};
    const facts = system ? jointFacts({ fitting: 'cap', hold: system.hold }) : null;
    const joint = (node: string, way: Vec3): readonly Joint[] =>
      system && size && facts
        ? [
            {
              id: `joint-${node}`,
              name: 'cap',
              node,
              fitting: 'cap',
              hold: system.hold,
              joins: [id],
              reversible: facts.reversible,
              packs: facts.packs,
              dryingTime: system.dryingTime,
              hub: hubOf('cap', system, size, [way]),
            },
          ]
        : [];
    const member = {
      id,
      name: stock.name.split(',')[0]!,
      from: corner.id,
      to: end.id,
      stock,
      path: {
        kind: 'straight' as const,
        widthDirection: (Math.abs(direction[1]) > 0.9 ? [1, 0, 0] : [0, 1, 0]) as Vec3,
      },
      leftLong: 0,
      holes: [],
    };
    this.keep(
      {
        kind: 'addMember',
        id: crypto.randomUUID(),
        body: this.body().id,
        nodes: [end],
        member,
        joints: [...joint(corner.id, direction), ...joint(end.id, [-direction[0], -direction[1], -direction[2]])],
      },
      member.name,
      id,
    );
  }

  protected addBrace(): void {
    const stock = stockById(this.flat(), this.own());
    const [from, to] = [this.braceFrom(), this.braceTo()];
    if (!stock || !from || !to) return this.notices.say('This body has no two corners with fittings to bolt a bar to.');
    const { rig } = this.bench().work;
    const member = freeId(rig, 'brace');
    const brace = { body: this.body().id, member, from, to, stock, folds: this.folds() };
    const tried = braceBetween(withoutHardware(rig), brace);
    if (tried.kind === 'refused') return this.notices.say(render(tried.reason, this.units()));
    this.keep({ kind: 'brace', id: crypto.randomUUID(), ...brace }, 'bar between corners', member);
  }

  protected addStation(): void {
    const { washer, boltDiameter } = washerOf(this.washer(), this.own());
    const id = freeId(this.bench().work.rig, 'weights');
    const room = 0.04;
    const seat = this.body().nodes.find((n) => n.id === this.corner())?.at ?? this.near();
    this.keep(
      {
        kind: 'addStation',
        id: crypto.randomUUID(),
        body: this.body().id,
        countMost: Math.floor(room / washer.thickness + 1e-9),
        station: {
          id,
          name: `Washers ${id.split('-')[1]}`,
          seat,
          axis: [0, 0, -1],
          boltDiameter,
          room,
          washer,
          count: 0,
        },
      },
      'bolt for washers',
      id,
    );
  }

  /** Beside what is picked, else at the first corner, else in the middle. */
  private near(): Vec3 {
    const { rig } = this.bench().work;
    const found = this.picked() ? elementOf(rig, this.picked()!) : null;
    const at =
      found?.kind === 'part' || found?.kind === 'node' ? found.element.at : (this.body().nodes[0]?.at ?? [0, 0, 0]);
    return [at[0], at[1], at[2] + 0.02];
  }

  private keep(edit: Edit, name: string, id: string): void {
    if (this.workspace.edit(`adding ${name}`, edit)) this.added.emit(id);
    else this.notices.say('It could not be added there: pick another corner.');
  }
}
