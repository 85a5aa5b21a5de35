/** How a rig bends and rings, worked out by a worker; and what was last found, which the shoreline counts. */
import { inject, Injectable } from '@angular/core';
import type { Assembly, Pose } from '@tide-pebble/core';
import type { StrengthSheetOutcome } from '@tide-pebble/core/strength';
import { BehaviorSubject, tap, type Observable } from 'rxjs';
import { Jobs } from './jobs';
import type { Bench } from './workspace';

export interface StrengthFound {
  readonly assembly: Assembly;
  /** Things to stop at or mend. */
  readonly faults: number;
}

@Injectable({ providedIn: 'root' })
export class Strengths {
  private readonly jobs = inject(Jobs);
  private readonly last = new BehaviorSubject<StrengthFound | null>(null);
  /** What was found when it was last looked at, and on which rig. */
  readonly lastFound$ = this.last.asObservable();

  reckon(
    { work: { assembly }, values }: Bench,
    pose: Pose | null,
    bump: number,
    shutter: number,
  ): Observable<StrengthSheetOutcome> {
    return this.jobs.run('strength', { assembly, values, pose, bump, shutter }).pipe(
      tap((outcome) => {
        const words = outcome.kind === 'told' ? outcome.sheet.words : [outcome.word];
        const faults = words.filter((w) => w.severity === 'stop' || w.severity === 'mend').length;
        this.last.next({ assembly, faults });
      }),
    );
  }
}
