/** Sizes of the maker's own: typed once, changed and deleted here, chosen in Frame. */
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { figure, ownName, say, type OwnSize, type Phrase } from '@tide-pebble/core';
import { Notices } from '../../services/notices';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { SayPipe } from '../../ui/figures/figures.pipe';
import { OwnSizes } from '../../ui/own-size/own-sizes';
import { map } from 'rxjs';

/** One that is sold to start from, a kind. */
const KINDS = [
  { name: 'flat bar or board', like: 'aluminium-30x6' },
  { name: 'round tube', like: 'tube-alu-20x1.5' },
  { name: 'square tube', like: 'square-alu-20x1.5' },
  { name: 'rod', like: 'round-8' },
  { name: 'pipe that goes into fittings', like: 'pvc/1/2' },
  { name: 'washer', like: 'm8-24' },
  { name: 'disc', like: 'disc-0.5kg' },
] as const;

@Component({
  selector: 'tp-own-size-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, SayPipe],
  template: `
    <h2>Your own sizes</h2>
    <ul class="plain-list">
      @for (s of sizes(); track s.size.id) {
        <li>
          <span
            ><strong>{{ s.name }}</strong
            ><br /><span class="note">{{ s.says | say: units() }}</span></span
          >
          <button type="button" (click)="typing.change(s.size)" [attr.aria-label]="'Change ' + s.name">Change</button>
          <button type="button" (click)="drop(s.size)" [attr.aria-label]="'Delete ' + s.name">Delete</button>
        </li>
      } @empty {
        <li class="note">
          None yet: a bar, pipe, washer or disc that no list here has is typed once, and chosen in Frame.
        </li>
      }
    </ul>
    <p class="add">
      <select #kind aria-label="Kind of size">
        @for (k of kinds; track k.like) {
          <option [value]="k.like">{{ k.name }}</option>
        }
      </select>
      <button matButton="outlined" type="button" (click)="typing.add(kind.value, null)">Add a size</button>
    </p>
  `,
  styleUrl: './own-size-list.css',
})
export class OwnSizeList {
  private readonly workspace = inject(Workspace);
  private readonly notices = inject(Notices);
  protected readonly typing = inject(OwnSizes);
  protected readonly units = inject(Units).now;
  protected readonly kinds = KINDS;
  protected readonly sizes = toSignal(
    this.workspace.sizes$.pipe(map((all) => all.map((size) => ({ size, name: ownName(size), says: saysOf(size) })))),
    { initialValue: [] },
  );

  protected drop(size: OwnSize): void {
    this.workspace.dropSize(size);
    this.notices.sayWithUndo(`“${ownName(size)}” is deleted. A rig that has it keeps it.`);
  }
}

function saysOf(size: OwnSize): Phrase {
  const length = (value: number) => figure('length', value, 1);
  if ('washer' in size) {
    const { outerRadius, innerRadius, thickness } = size.washer;
    return say`${length(2 * outerRadius)} across, hole ${length(2 * innerRadius)}, ${length(thickness)} thick`;
  }
  const { section } = size.stock;
  const across: Phrase =
    section.kind === 'flat'
      ? say`${length(section.width)} × ${length(section.thickness)}`
      : section.kind === 'rod'
        ? say`${length(section.diameter)} across`
        : section.kind === 'square'
          ? say`${length(section.width)} × ${length(section.height)}, wall ${length(section.wall)}`
          : say`${length(section.outerDiameter)} across, wall ${length(section.wall)}`;
  return size.kind === 'pipe' ? [...across, ...say`; goes ${length(size.depth)} into a fitting`] : across;
}
