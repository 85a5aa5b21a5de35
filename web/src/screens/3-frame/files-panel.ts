/** The rig as a model for other programs, and printed parts from them. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { figure, materialOf, printedParts, showFigure, type Part } from '@tide-pebble/core';
import { firstValueFrom } from 'rxjs';
import { Pointer } from '../../services/pointer';
import { saveFile } from '../../services/save-file';
import { Solids } from '../../services/solids';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { SolidFiles, type SolidFile } from '../../ui/solid-files';
import { freeId } from './elements';

const PRINTED = ['petg', 'pla', 'aluminium', 'steel', 'birchPly'] as const;
const NAMES: Readonly<Record<(typeof PRINTED)[number], string>> = {
  petg: 'PETG, solid',
  pla: 'PLA, solid',
  aluminium: 'aluminium',
  steel: 'steel',
  birchPly: 'birch plywood',
};

@Component({
  selector: 'tp-files-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, SolidFiles],
  template: `
    <h2>Models in and out</h2>
    <p class="row">
      <button matButton="outlined" type="button" [disabled]="busy()" (click)="save('stl')">STL</button>
      <button matButton="outlined" type="button" [disabled]="busy()" (click)="save('3mf')">3MF</button>
      <button matButton="outlined" type="button" [disabled]="busy()" (click)="save('gltf')">glTF</button>
    </p>
    <p class="note">The whole rig with its load; STL and 3MF in millimetres, glTF in metres.</p>
    @if (prints().length > 0) {
      <h3>To print</h3>
      <ul class="plain-list">
        @for (part of prints(); track part.id) {
          <li
            class="row"
            [class.lit]="pointer.at() === part.id"
            (mouseenter)="pointer.point(part.id)"
            (mouseleave)="pointer.point(null)"
          >
            <span>{{ part.name }}</span>
            <tp-solid-files [name]="part.name" [busy]="busy()" (saved)="print(part, $event)" />
          </li>
        }
      </ul>
      <p class="note">Each by itself on its bed, with its holes and the pockets for what is dropped in.</p>
    }
    <div class="row">
      <label
        >Printed part of
        <select aria-label="Material of the part" (change)="material.set($any($event.target).value)">
          @for (m of materials; track m) {
            <option [value]="m" [selected]="m === material()">{{ names[m] }}</option>
          }
        </select>
      </label>
      <button matButton="outlined" type="button" [disabled]="busy()" (click)="file.click()">
        Bring in an STL or 3MF
      </button>
    </div>
    <input
      #file
      class="visually-hidden"
      type="file"
      accept=".stl,.3mf"
      aria-label="Part file"
      tabindex="-1"
      (change)="bring($event)"
    />
    @if (said()) {
      <p [class.wrong]="wrong()" [attr.role]="wrong() ? 'alert' : 'status'">{{ said() }}</p>
    }
  `,
  styles: `
    h2 {
      margin: var(--space-4) 0 var(--space-1);
    }
    h3 {
      margin: var(--space-2) 0 0;
      font-size: 1rem;
    }
    li.lit {
      background: var(--tint-pale);
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-2);
      align-items: center;
    }
  `,
})
export class FilesPanel {
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units).now;
  protected readonly materials = PRINTED;
  protected readonly names = NAMES;
  protected readonly material = signal<(typeof PRINTED)[number]>('petg');
  protected readonly busy = signal(false);
  protected readonly said = signal('');
  protected readonly wrong = signal(false);
  readonly bench = input.required<Bench>();
  readonly added = output<string>();

  private readonly solids = inject(Solids);
  protected readonly pointer = inject(Pointer);
  protected readonly prints = computed(() => printedParts(this.bench().work.rig));

  protected async print({ id, name }: Part, kind: SolidFile): Promise<void> {
    await this.working(async () => {
      const { printedStl, printedThreeMf } = await import('../../export/models');
      const { work, values, rig } = this.bench();
      const printed = await firstValueFrom(this.solids.printed(work.assembly, values, id));
      if (!printed) return this.say(`The ${name} has no solid to print.`, true);
      const file = `${rig.name} ${name}.${kind}`;
      if (kind === 'stl') saveFile(file, printedStl(printed), 'model/stl');
      else saveFile(file, printedThreeMf(name, printed), 'model/3mf');
      this.say(`${file} is saved: ${showFigure(figure('count', printed.volume * 1e6, 1), this.units())} cm³ of solid.`);
    });
  }

  protected async save(kind: 'stl' | '3mf' | 'gltf'): Promise<void> {
    await this.working(async () => {
      const { gltfOf, stlOf, threeMfOf } = await import('../../export/models');
      const { rig, judged } = this.bench();
      const { pieces } = judged.evaluation;
      if (kind === 'stl') saveFile(`${rig.name}.stl`, stlOf(pieces), 'model/stl');
      else if (kind === '3mf') saveFile(`${rig.name}.3mf`, threeMfOf(pieces), 'model/3mf');
      else saveFile(`${rig.name}.gltf`, await gltfOf(pieces), 'model/gltf+json');
      this.say(`${rig.name}.${kind} is saved.`);
    });
  }

  protected async bring(event: Event): Promise<void> {
    const input = event.target as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    await this.working(async () => {
      const { readMesh } = await import('../../export/read-mesh');
      const read = await readMesh(file);
      if (!read.ok) return this.say(`${read.reason} Nothing was added.`, true);
      const { rig } = this.bench().work;
      const body = rig.bodies.find((b) => b.parts.some((p) => p.mount)) ?? rig.bodies.at(-1)!;
      const id = freeId(rig, 'printed');
      const name = file.name.replace(/\.(stl|3mf)$/i, '').slice(0, 100) || 'printed part';
      if (
        !this.workspace.edit(`bringing in ${name}`, {
          kind: 'add',
          id: crypto.randomUUID(),
          body: body.id,
          part: { id, name, shape: read.shape, at: [0, 0, 0], material: this.material() },
        })
      )
        return this.say('It could not be added to this rig.', true);
      const mass = materialOf(this.material())!.density * read.volume;
      this.say(
        `${name} is on the rig: ${showFigure(figure('mass', mass, 1), this.units())}, from its volume. Move it where it belongs.`,
      );
      this.added.emit(id);
    });
  }

  private async working(work: () => Promise<void>): Promise<void> {
    this.busy.set(true);
    this.say('');
    try {
      await work();
    } catch (error) {
      this.say(`That did not work: ${error instanceof Error ? error.message : 'unknown'}. Nothing has changed.`, true);
    } finally {
      this.busy.set(false);
    }
  }

  private say(text: string, wrong = false): void {
    this.said.set(text);
    this.wrong.set(wrong);
  }
}
