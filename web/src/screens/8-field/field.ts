/** Field: the set-up as a card readable at arm's length in sun; one for each loadout that has been set up. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { mdiCellphone, mdiFileDownloadOutline, mdiPrinter } from '@mdi/js';
import {
  breakDown,
  cautionsOf,
  figure,
  judged,
  readings,
  render,
  verdictWith,
  workpiece,
  type Firmness,
  type Phrase,
} from '@tide-pebble/core';
import { cardMoves, cardTold, setupCard } from '@tide-pebble/core/making';
import { firstValueFrom, map, merge, scan, startWith, switchMap } from 'rxjs';
import type { PackCard } from '../../export/pack-card';
import { Firmnesses } from '../../services/firmnesses';
import { injectBench } from '../../services/bench-signal';
import { Notices } from '../../services/notices';
import { PatternPaper } from '../../services/pattern-paper';
import { saveFile } from '../../services/save-file';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { FigurePipe, SayPipe } from '../../ui/figures/figures.pipe';
import { Icon } from '../../ui/icon';
import { NoBench } from '../../ui/no-bench';
import { RulerMark } from './ruler-mark';

/** More drawn bars than this do not fit a phone; the figure says it. */
const BARS_AT_MOST = 20;
const NONE: ReadonlyMap<string, Firmness> = new Map();

@Component({
  selector: 'tp-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, RouterLink, NoBench, RulerMark, FigurePipe, SayPipe, Icon],
  templateUrl: './field.html',
  styleUrl: './field.css',
})
export class Field {
  private readonly workspace = inject(Workspace);
  private readonly paper = inject(PatternPaper);
  private readonly notices = inject(Notices);
  protected readonly units = inject(Units).now;
  protected readonly icons = { print: mdiPrinter, phone: mdiCellphone, pack: mdiFileDownloadOutline };
  protected readonly bench = injectBench();
  private readonly setups = toSignal(this.workspace.setups$, { initialValue: [] });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: new Map() });

  protected readonly cautions = computed(() => {
    const bench = this.bench();
    return bench ? cautionsOf(bench.work.rig) : [];
  });
  /** The loadout on the rig first, then every other one with a set-up. */
  private readonly setUps = computed(() => {
    const bench = this.bench();
    if (!bench) return [];
    const mine = this.setups().filter((s) => s.rig === bench.rig.id);
    const order = [...mine].sort(
      (a, b) => Number(b.loadout === bench.rig.loadout) - Number(a.loadout === bench.rig.loadout),
    );
    return order.flatMap((setup) => {
      const loadout = this.loadouts().find((l) => l.id === setup.loadout) ?? null;
      const made = workpiece(bench.rig, loadout, this.kit());
      if (!made.ok) return [];
      const { context, verdict } = judged(made.work, setup.values, bench.rig.wants);
      const card = setupCard(context, loadout?.conditions ?? '');
      return [
        {
          id: setup.id,
          rig: bench.rig.id,
          current: setup.loadout === bench.rig.loadout,
          loadout: loadout?.name ?? 'nothing mounted',
          card,
          parts: cardTold(card),
          loadoutId: loadout?.id ?? null,
          values: setup.values,
          context,
          verdict,
        },
      ];
    });
  });

  private readonly firmnesses = inject(Firmnesses);
  /** By card, as they are worked out. */
  private readonly firm = toSignal(
    toObservable(this.setUps).pipe(
      switchMap((setUps) =>
        merge(
          ...setUps.map(({ id, rig, context }) => this.firmnesses.of(rig, context).pipe(map((firm) => ({ id, firm })))),
        ).pipe(
          scan((all, { id, firm }) => new Map([...all, [id, firm]]), NONE),
          startWith(NONE),
        ),
      ),
    ),
    { initialValue: NONE },
  );
  protected readonly cards = computed(() => {
    const now = this.setUps().find((s) => s.current);
    return this.setUps().map((card) => {
      const firm = this.firm().get(card.id) ?? null;
      const verdict = verdictWith(card.verdict, firm);
      return {
        ...card,
        doubt: verdict.kind === 'holds' ? null : [...verdict.title, ' ', ...verdict.why],
        tight: (firm?.tight ?? []).map((t) => t.name),
        /** From how it is set now: only what moves. */
        moves: now && !card.current ? cardMoves(now.parts, card.parts) : [],
        from: now?.loadout ?? '',
      };
    });
  });

  protected readonly isMaking = signal(false);

  protected bars(count: number): readonly number[] {
    return Array.from({ length: Math.min(count, BARS_AT_MOST) }, (_, i) => i);
  }

  /** One file with all of this rig's cards, for a phone with no server. */
  protected pack(): Promise<void> {
    return this.making(async (bench) => {
      const { fieldPack } = await import('../../export/field-pack/field-pack');
      const { pieces } = breakDown(bench.work.rig, bench.values);
      const html = await fieldPack({
        rig: { id: bench.rig.id, name: bench.rig.name },
        made: new Date().toISOString(),
        cautions: this.cautions(),
        pieces: pieces.map((p) => p.name),
        cards: this.cards().map((c) => this.told(c)),
      });
      saveFile(`${bench.rig.name} field pack.html`, html, 'text/html');
    });
  }

  /** A page each. */
  protected pdf(): Promise<void> {
    return this.making(async (bench) => {
      const { cardSheet } = await import('../../export/card-sheet');
      const cards = this.cards().map((c) => cardSheet(bench.rig.name, this.told(c), this.cautions()));
      const told = await firstValueFrom(this.paper.ask({ cards }));
      if ('file' in told) saveFile(`${bench.rig.name} cards.pdf`, new Uint8Array(told.file), 'application/pdf');
    });
  }

  protected png(card: Card): Promise<void> {
    return this.making(async (bench) => {
      const [{ cardSheet, cardSvg }, { pngOf }] = await Promise.all([
        import('../../export/card-sheet'),
        import('../../export/png'),
      ]);
      const sheet = cardSheet(bench.rig.name, this.told(card), this.cautions());
      const picture = await pngOf(cardSvg(sheet), [sheet.width, sheet.height]);
      saveFile(`${bench.rig.name}, ${card.loadout}.png`, new Uint8Array(await picture.arrayBuffer()), 'image/png');
    });
  }

  /** One file at a time; what goes wrong is said. */
  private async making(make: (bench: Bench) => Promise<void>): Promise<void> {
    const bench = this.bench();
    if (!bench || this.isMaking()) return;
    this.isMaking.set(true);
    try {
      await make(bench);
    } catch (error) {
      this.notices.say(`The file could not be made: ${error instanceof Error ? error.message : String(error)}.`);
    } finally {
      this.isMaking.set(false);
    }
  }

  /** The card as it goes into files: the same words as on the screen. */
  private told(c: Card): PackCard {
    const say = (phrase: Phrase): string => render(phrase, this.units());
    const { noseDown, leftSideDown, dropPitch } = readings(c.context.evaluation);
    return {
      loadout: c.loadout,
      parts: c.parts.map((p) => ({ name: p.name, big: say(p.big), beside: p.beside, small: p.small.map(say) })),
      conditions: c.card.conditions,
      expect: c.card.expect.map((e) => ({ figure: say(e.figure), rest: say(e.rest) })),
      tight: c.tight,
      doubt: c.doubt ? say(c.doubt) : '',
      mass: say([figure('mass', c.card.mass)]),
      entry: {
        rig: c.rig,
        loadout: c.loadoutId,
        values: { ...c.values },
        expected: {
          noseDown,
          leftSideDown,
          dropPitch,
          dropSpread: c.context.evaluation.hung?.spread.dropPitch ?? null,
        },
      },
    };
  }

  protected print(): void {
    window.print();
  }
}

/** A card as it stands on the screen. */
type Card = ReturnType<Field['cards']>[number];
