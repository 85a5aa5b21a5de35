/** All that the palette finds, and what each does. */
import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { combineLatest, map, type Observable } from 'rxjs';
import { Kept } from '../../services/kept';
import { Notices } from '../../services/notices';
import { Undoing } from '../../services/undoing';
import { Theme, THEMES } from '../../services/theme';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { GLOSSARY } from '../../ui/words/glossary';
import { ExampleNow } from '../example/example-now';
import { VIEWS } from './views';

export interface Command {
  readonly id: string;
  readonly group: 'Go to' | 'Do' | 'Rigs' | 'Loadouts' | 'Kit' | 'Parts of this rig' | 'Words';
  readonly name: string;
  readonly says?: string;
  /** Other words it is found by. */
  readonly also?: readonly string[];
  readonly run: () => void;
}

@Injectable({ providedIn: 'root' })
export class Commands {
  private readonly router = inject(Router);
  private readonly undoing = inject(Undoing);
  private readonly kept = inject(Kept);
  private readonly units = inject(Units);
  private readonly theme = inject(Theme);
  private readonly notices = inject(Notices);
  private readonly example = inject(ExampleNow);

  readonly all$: Observable<readonly Command[]> = combineLatest([
    this.kept.rigs$,
    this.kept.loadouts$,
    this.kept.kit$,
    inject(Workspace).bench$,
  ]).pipe(
    map(([rigs, loadouts, kit, state]) => [
      ...this.views(),
      ...this.deeds(),
      ...rigs.map((r): Command => ({
        id: `rig ${r.id}`,
        group: 'Rigs',
        name: r.name,
        says: 'put it on the bench',
        run: () => this.kept.choose(r.id),
      })),
      ...loadouts.map((l): Command => ({
        id: `loadout ${l.id}`,
        group: 'Loadouts',
        name: l.name,
        says: 'put it on the rig',
        run: () => this.kept.editRig('choice of loadout', (rig) => ({ ...rig, loadout: l.id })),
      })),
      ...[...kit.values()].map((k): Command => ({
        id: `kit ${k.id}`,
        group: 'Kit',
        name: k.name,
        says: k.class,
        run: () => this.go('load', k.id),
      })),
      ...(state.kind === 'ready'
        ? state.bench.work.rig.bodies.flatMap((b) =>
            [...b.parts, ...b.members].map((p): Command => ({
              id: `part ${p.id}`,
              group: 'Parts of this rig',
              name: p.name,
              run: () => void this.router.navigate(['/frame'], { queryParams: { show: p.id } }),
            })),
          )
        : []),
      ...GLOSSARY.map((t): Command => ({
        id: `word ${t.word}`,
        group: 'Words',
        name: t.word,
        says: t.says,
        run: () => this.notices.say(`${t.word}: ${t.says}`),
      })),
    ]),
  );

  private views(): readonly Command[] {
    return VIEWS.map((v) => ({
      id: `view ${v.path}`,
      group: 'Go to',
      name: v.title,
      says: v.answers,
      run: () => this.go(...v.path.split('/')),
    }));
  }

  private deeds(): readonly Command[] {
    return [
      {
        id: 'example',
        group: 'Do',
        name: 'Show me a whole job',
        also: ['tour', 'example', 'help'],
        run: () => this.example.start(),
      },
      { id: 'undo', group: 'Do', name: 'Undo', run: () => this.undoing.undo() },
      { id: 'redo', group: 'Do', name: 'Do again', also: ['redo'], run: () => this.undoing.redo() },
      { id: 'mm', group: 'Do', name: 'Show millimetres', also: ['metric'], run: () => this.units.setSystem('mm') },
      {
        id: 'inch',
        group: 'Do',
        name: 'Show inches',
        also: ['imperial', 'fractions'],
        run: () => this.units.setSystem('inch'),
      },
      ...THEMES.map((t): Command => ({
        id: `theme ${t.id}`,
        group: 'Do',
        name: `Look: ${t.name}`,
        also: ['theme', 'dark', 'colours'],
        run: () => this.theme.set(t.id),
      })),
    ];
  }

  private go(...path: readonly string[]): void {
    void this.router.navigate(['/', ...path]);
  }
}
