/** Field: the set-up as a card readable at arm's length in sun; one for each loadout that has been set up. */
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { mdiPrinter } from '@mdi/js';
import {
  cautionsOf,
  figure,
  holdTimeWords,
  judged,
  showFigure,
  turnsOf,
  workpiece,
  type Evaluation,
} from '@tide-pebble/core';
import { setupCard, type SetUpCard } from '@tide-pebble/core/making';
import { injectBench } from '../../services/bench-signal';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { FigurePipe, SayPipe } from '../../ui/figures/figures.pipe';
import { Icon } from '../../ui/icon';
import { NoBench } from '../../ui/no-bench';
import { RulerMark } from './ruler-mark';

/** More drawn bars than this do not fit a phone; the figure says it. */
const BARS_AT_MOST = 20;

@Component({
  selector: 'tp-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, RouterLink, NoBench, RulerMark, FigurePipe, SayPipe, Icon],
  templateUrl: './field.html',
  styleUrl: './field.css',
})
export class Field {
  private readonly workspace = inject(Workspace);
  protected readonly units = inject(Units).now;
  protected readonly icons = { print: mdiPrinter };
  protected readonly bench = injectBench();
  private readonly setups = toSignal(this.workspace.setups$, { initialValue: [] });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: new Map() });

  protected readonly holdTime = holdTimeWords;
  protected readonly cautions = computed(() => {
    const bench = this.bench();
    return bench ? cautionsOf(bench.piece.rig) : [];
  });
  /** The loadout on the rig first, then every other one with a set-up. */
  protected readonly cards = computed(() => {
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
      const { evaluation, verdict } = judged(made.piece, setup.values, bench.rig.wants);
      const card = setupCard(made.piece.assembly, setup.values, evaluation, loadout?.conditions ?? '');
      return [
        {
          id: setup.id,
          current: setup.loadout === bench.rig.loadout,
          loadout: loadout?.name ?? 'nothing mounted',
          card,
          doubt: verdict.kind === 'holds' ? null : [...verdict.title, ' ', ...verdict.why],
          hangs: evaluation.pole === null && evaluation.axes.length === 0,
          level: this.levelWords(card, bench.rig.wants.levelWithin, evaluation),
        },
      ];
    });
  });

  protected bars(count: number): readonly number[] {
    return Array.from({ length: Math.min(count, BARS_AT_MOST) }, (_, i) => i);
  }

  protected size(value: number): number {
    return Math.abs(value);
  }

  protected turns(turns: number): string {
    return turnsOf(Math.abs(turns));
  }

  protected print(): void {
    window.print();
  }

  private levelWords(card: SetUpCard, within: number, { pole, axes }: Evaluation): { head: string; rest: string } {
    if (pole)
      return pole.rest.droop === null
        ? { head: 'no rest', rest: 'friction holds it where it is put' }
        : {
            head: showFigure(figure('angle', Math.abs(pole.rest.droop)), this.units()),
            rest: `${pole.rest.droop >= 0 ? 'camera' : 'weight'} end down at rest`,
          };
    if (axes.length > 0) {
      const worst = axes.reduce((a, b) => (b.residual - b.friction > a.residual - a.friction ? b : a));
      return {
        head: showFigure(figure('torque', worst.residual, 3), this.units()),
        rest: `left on the ${worst.pivot.name}; its friction hides ${showFigure(figure('torque', worst.friction, 3), this.units())}`,
      };
    }
    if (card.held) {
      if (card.held.falls) return { head: 'falls', rest: `cannot be held: ${card.held.pose.name.toLowerCase()}` };
      if (card.held.bears.length > 0) {
        const hand = Math.max(0, ...card.held.bears.filter((b) => b.contact.kind === 'hand').map((b) => b.size));
        return {
          head: showFigure(figure('force', hand, 1), this.units()),
          rest: `in the hand that carries most: ${card.held.pose.name.toLowerCase()}`,
        };
      }
      const most = Math.max(0, ...card.held.hands.map((h) => Math.hypot(h.noseDown, h.leftSideDown)));
      return {
        head: showFigure(figure('torque', most), this.units()),
        rest: `tips in the wrist: ${card.held.pose.name.toLowerCase()}`,
      };
    }
    if (card.noseDown === null || card.leftSideDown === null)
      return { head: 'turns over', rest: 'do not let go of it' };
    const worst =
      Math.abs(card.noseDown) > Math.abs(card.leftSideDown)
        ? { angle: card.noseDown, words: ['nose down', 'nose up'] }
        : { angle: card.leftSideDown, words: ['left down', 'right down'] };
    const say = (angle: number): string => showFigure(figure('angle', Math.abs(angle)), this.units());
    if (Math.abs(worst.angle) <= within) return { head: 'level', rest: `within ${say(within)}` };
    return { head: say(worst.angle), rest: worst.words[worst.angle > 0 ? 0 : 1]! };
  }
}
