/** On a phone: a code that pairs one, what it may do, and which phones are paired. */
import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { LanLook, Right } from '@tide-pebble/core';
import { catchError, EMPTY, from, map, of, switchMap, timer, type Observable } from 'rxjs';
import { House } from '../../../services/house';
import { HeldFolder } from '../../../services/keeping/folder';
import { Notices } from '../../../services/notices';

/** A phone that pairs is shown as soon. */
const LOOK_EVERY_MS = 2000;

@Component({
  selector: 'tp-phones',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe, MatButton, RouterLink],
  templateUrl: './phones.html',
  styleUrl: './phones.css',
})
export class Phones {
  private readonly house = inject(House);
  private readonly notices = inject(Notices);
  /** On a phone itself none is paired. */
  protected readonly isPhone = inject(HeldFolder).right() !== undefined;
  protected readonly look = signal<LanLook | null>(null);
  protected readonly fault = signal('');
  protected readonly right = signal<Right>('field');
  protected readonly rights: readonly { readonly id: Right; readonly words: string }[] = [
    { id: 'field', words: 'readings, walks and set-ups are kept from it' },
    { id: 'read', words: 'it only reads' },
  ];
  /** Where a camera that reads the code is led. */
  protected readonly address = computed(() => {
    const look = this.look();
    return look?.offer && look.addresses[0] ? `${look.addresses[0]}/pair?code=${look.offer.code}` : null;
  });
  /** The address as a QR code: a picture of its own, so that no markup is put into the page. */
  protected readonly picture = toSignal(
    toObservable(this.address).pipe(
      switchMap((address) =>
        address === null
          ? of(null)
          : from(import('qr')).pipe(
              map(
                ({ default: encodeQR }) =>
                  `data:image/svg+xml,${encodeURIComponent(encodeQR(address, 'svg', { border: 4 }))}`,
              ),
              // Without the picture the code is typed.
              catchError(() => of(null)),
            ),
      ),
    ),
    { initialValue: null },
  );

  constructor() {
    if (this.isPhone) return;
    timer(0, LOOK_EVERY_MS)
      .pipe(
        switchMap(() => this.house.look().pipe(catchError((error: Error) => this.failed(error)))),
        takeUntilDestroyed(),
      )
      .subscribe((look) => this.now(look));
  }

  protected make(): void {
    this.ask(this.house.offer(this.right()));
  }

  protected letGo(id: string, name: string): void {
    this.ask(this.house.letGo(id), () => this.notices.say(`${name} is let go: what it held opens nothing any more.`));
  }

  protected wordsOf(right: Right): string {
    return this.rights.find((r) => r.id === right)!.words;
  }

  private ask(look$: Observable<LanLook>, then: () => void = () => undefined): void {
    look$.pipe(catchError((error: Error) => this.failed(error))).subscribe((look) => {
      this.now(look);
      then();
    });
  }

  private now(look: LanLook): void {
    this.fault.set('');
    // The same is not drawn again.
    if (JSON.stringify(look) !== JSON.stringify(this.look())) this.look.set(look);
  }

  private failed(error: Error): Observable<never> {
    this.fault.set(error.message);
    return EMPTY;
  }
}
