/** A rig as it would be started, small, from the side, with its load; in the hand of whoever holds it where that is asked. */
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import {
  placedPieces,
  USUAL_HANDS,
  workpiece,
  type AdjusterValues,
  type Design,
  type Hands,
  type KitItem,
  type Loadout,
} from '@tide-pebble/core';
import { drawnPerson, peopleIn } from './person';
import { PLAIN, sheetOf } from './rig-drawing';

const SIZE = { width: 240, height: 190 };
const MARGINS = { ...PLAIN, left: 6, right: 6, top: 6, bottom: 6 };
/** An arm is about so thick, and a fist so large, m. */
const ARM = 0.075;
const FIST = 0.046;

@Component({
  selector: 'tp-start-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (picture(); as p) {
      <svg
        [attr.viewBox]="'0 0 ' + size.width + ' ' + size.height"
        role="img"
        [attr.aria-label]="name() + ', from the side' + (p.people.length > 0 ? ', in the hand' : '')"
      >
        @for (person of p.people; track $index) {
          <g class="person" [attr.stroke-width]="p.arm">
            <circle [attr.cx]="person.head[0]" [attr.cy]="person.head[1]" [attr.r]="person.head[2]" />
            <path [attr.d]="person.trunk" />
            <path class="arm" [attr.d]="person.arm" />
          </g>
        }
        @for (shape of p.shapes; track shape.key) {
          <path [attr.d]="shape.path" [attr.class]="'shape ' + shape.look" />
        }
        @for (person of p.people; track $index) {
          <circle class="fist" [attr.cx]="person.hand[0]" [attr.cy]="person.hand[1]" [attr.r]="p.fist" />
        }
      </svg>
    }
  `,
  styles: `
    :host {
      display: block;
      aspect-ratio: 240 / 190;
    }
    svg {
      display: block;
      width: 100%;
      height: 100%;
    }
    .person {
      fill: none;
      stroke: var(--sand-line);
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    .person circle {
      fill: var(--sand);
      stroke-width: var(--draw-gear);
    }
    .fist {
      fill: var(--sand);
      fill-opacity: 0.6;
      stroke: var(--faint);
    }
  `,
})
export class StartPicture {
  protected readonly size = SIZE;
  readonly name = input.required<string>();
  readonly start = input.required<{ readonly design: Design; readonly values: AdjusterValues }>();
  readonly loadout = input.required<Loadout | null>();
  readonly kit = input.required<ReadonlyMap<string, KitItem>>();
  readonly hands = input<Hands>(USUAL_HANDS);
  /** In the hand, in the first pose that it is made for. */
  readonly held = input(false);

  protected readonly picture = computed(() => {
    const { design, values } = this.start();
    const made = workpiece({ design, hands: this.hands() }, this.loadout(), this.kit());
    if (!made.ok) return null;
    const { rig } = made.work;
    const pose = this.held() ? (rig.poses[0]?.id ?? null) : null;
    const people = peopleIn(rig, pose, values, this.hands());
    const sheet = sheetOf(placedPieces(made.work.assembly, values), ['side'], SIZE, null, MARGINS);
    const [view] = sheet.views;
    return {
      shapes: view!.shapes,
      people: people.map((p) => drawnPerson(p, view!, sheet.pixelsPerMetre)),
      arm: ARM * sheet.pixelsPerMetre,
      fist: FIST * sheet.pixelsPerMetre,
    };
  });
}
