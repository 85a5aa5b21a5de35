/** Start a rig: by the shots, by four questions, or a family that is known, sized to a loadout and the maker's hand. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { FAMILIES, USUAL_HANDS, type Family } from '@tide-pebble/core';
import { Kept } from '../../services/kept';
import { NewRig } from '../../services/new-rig';
import { QuantityField } from '../../ui/figures/quantity-field';

@Component({
  selector: 'tp-start-one',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, RouterLink, QuantityField],
  templateUrl: './start-one.html',
  styleUrl: './start-one.css',
})
export class StartOne {
  private readonly kept = inject(Kept);
  private readonly newRig = inject(NewRig);
  private readonly router = inject(Router);

  protected readonly families = FAMILIES;
  protected readonly isStocked = toSignal(this.kept.rig$, { initialValue: null });
  protected readonly loadouts = toSignal(this.kept.loadouts$, { initialValue: [] });
  private readonly kit = toSignal(this.kept.kit$, { initialValue: new Map() });
  protected readonly name = signal('');
  protected readonly loadout = signal<string | null>(null);
  protected readonly hand = signal(USUAL_HANDS.breadth);
  protected readonly chosenLoadout = computed(() => this.loadout() ?? this.loadouts()[0]?.id ?? '');

  protected start(family: Family): void {
    const loadout = this.loadouts().find((l) => l.id === this.chosenLoadout()) ?? null;
    const rig = this.newRig.start(family, {
      name: this.name(),
      loadout,
      kit: this.kit(),
      hands: { ...USUAL_HANDS, breadth: this.hand() },
    });
    this.name.set('');
    this.kept.choose(rig.id);
    void this.router.navigateByUrl('/frame');
  }
}
