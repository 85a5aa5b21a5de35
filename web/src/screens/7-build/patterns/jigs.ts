/** Jigs for the printer: what they are put on, how large they come out, each as STL and 3MF. */
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { figure, render, say, type Phrase } from '@tide-pebble/core';
import { jigsOf, type Jig } from '@tide-pebble/core/patterns';
import { firstValueFrom } from 'rxjs';
import { Pointer } from '../../../services/pointer';
import { saveFile } from '../../../services/save-file';
import { Solids } from '../../../services/solids';
import { Units } from '../../../services/units';
import type { Bench } from '../../../services/workspace';
import { SayPipe } from '../../../ui/figures/figures.pipe';
import { SolidFiles, type SolidFile } from '../../../ui/solid-files';
import { JigPicture } from './jig-picture';

@Component({
  selector: 'tp-jigs',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SayPipe, SolidFiles, JigPicture],
  template: `
    @if (jigs().length > 0) {
      <section aria-label="Jigs to print" class="no-print">
        <h2>Jigs to print</h2>
        <p class="note">
          A jig repeats its own fault: print it, measure its guides by calipers, and drill scrap first. Guides lead the
          pilot; drill to size without the jig. Without a printer: a pattern stuck on hardboard and piloted once marks
          pairs alike, and blocks screwed down along a frame’s sheet square it up.
        </p>
        <ul class="plain-list">
          @for (j of jigs(); track j.id) {
            <li
              [class.lit]="pointer.at() === j.about"
              (mouseenter)="pointer.point(j.about)"
              (mouseleave)="pointer.point(null)"
            >
              <p>
                <strong>{{ j.title | say: units() }}</strong>
                <span class="note">{{ sizeOf(j) | say: units() }} on the bed</span>
              </p>
              <tp-jig-picture [jig]="j" />
              @for (s of j.says; track $index) {
                <p>{{ s | say: units() }}</p>
              }
              <tp-solid-files [name]="name(j)" [busy]="busy()" (saved)="save(j, $event)" />
            </li>
          }
        </ul>
        @if (fault()) {
          <p class="wrong" role="alert">{{ fault() }}</p>
        }
      </section>
    }
  `,
  styles: `
    li {
      padding: var(--space-2) 0;
      border-bottom: var(--line) solid var(--sand-line);
    }
    li.lit {
      background: var(--tint-pale);
    }
    li .note {
      margin-left: var(--space-2);
    }
  `,
})
export class Jigs {
  private readonly solids = inject(Solids);
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();
  protected readonly jigs = computed(() => jigsOf(this.bench().work.assembly));
  protected readonly busy = signal(false);
  protected readonly fault = signal('');

  protected name(jig: Jig): string {
    return render(jig.title, this.units());
  }
  protected sizeOf({ size }: Jig): Phrase {
    const [x, y, z] = size.map((s) => figure('length', s, 0)) as [
      ReturnType<typeof figure>,
      ReturnType<typeof figure>,
      ReturnType<typeof figure>,
    ];
    return say`${x} × ${y} × ${z}`;
  }

  protected async save(jig: Jig, kind: SolidFile): Promise<void> {
    if (this.busy()) return;
    this.busy.set(true);
    this.fault.set('');
    try {
      const { printedStl, printedThreeMf } = await import('../../../export/models');
      const { work, rig } = this.bench();
      const printed = await firstValueFrom(this.solids.jig(work.assembly, jig.id));
      if (!printed) throw new Error('it is no longer of this rig');
      const file = `${rig.name} ${this.name(jig)}.${kind}`;
      if (kind === 'stl') saveFile(file, printedStl(printed), 'model/stl');
      else saveFile(file, printedThreeMf(this.name(jig), printed), 'model/3mf');
    } catch (error) {
      this.fault.set(`The jig could not be made: ${error instanceof Error ? error.message : String(error)}.`);
    } finally {
      this.busy.set(false);
    }
  }
}
