/** How long a step took by hand: typed, the plan of the evenings goes by it, and others of its kind by what it teaches. */
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Workspace, type Bench } from '../../services/workspace';
import type { StepShown } from './steps-now';

@Component({
  selector: 'tp-own-minutes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label>
      By hand
      <input
        #field
        type="number"
        min="1"
        max="1440"
        step="1"
        [value]="minutes()"
        [attr.aria-invalid]="isWrong()"
        (change)="keep(field)"
      />
      minutes
    </label>
    @if (isWrong()) {
      <span class="wrong" role="alert">Whole minutes, from 1 to 1440.</span>
    } @else if (isTyped()) {
      <span class="note">yours; reckoned were {{ reckoned() }}</span>
      <button type="button" class="plain" (click)="forget()">As reckoned</button>
    } @else {
      <span class="note">roughly: type how long it took you</span>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-2);
      align-items: center;
    }
    label {
      display: flex;
      gap: var(--space-2);
      align-items: center;
    }
    input {
      font: inherit;
      width: 5em;
      min-height: 36px;
    }
    input[aria-invalid='true'] {
      border-color: var(--coral);
    }
    .plain {
      font: inherit;
      color: var(--sea);
      background: none;
      border: 0;
      min-height: 36px;
      cursor: pointer;
      text-decoration: underline;
    }
  `,
})
export class OwnMinutes {
  private readonly workspace = inject(Workspace);
  readonly bench = input.required<Bench>();
  readonly shown = input.required<StepShown>();
  protected readonly isWrong = signal(false);
  protected readonly minutes = computed(() => Math.max(1, Math.round(this.shown().minutes)));
  protected readonly reckoned = computed(() => Math.round(this.shown().step.minutes));
  protected readonly isTyped = computed(() => this.shown().step.id in (this.bench().rig.took ?? {}));

  protected keep(field: HTMLInputElement): void {
    const { id, minutes: reckoned } = this.shown().step;
    if (field.value === '' && !field.validity.badInput) return this.forget();
    const minutes = field.valueAsNumber;
    this.isWrong.set(!(Number.isInteger(minutes) && minutes >= 1 && minutes <= 1440));
    if (this.isWrong()) return;
    this.workspace.editRig('how long a step took', (rig) => ({
      ...rig,
      took: { ...rig.took, [id]: { minutes, reckoned } },
    }));
  }

  protected forget(): void {
    this.isWrong.set(false);
    const { id } = this.shown().step;
    this.workspace.editRig('forgetting how long a step took', ({ took, ...rig }) => {
      const { [id]: _, ...others } = took ?? {};
      return Object.keys(others).length > 0 ? { ...rig, took: others } : rig;
    });
  }
}
