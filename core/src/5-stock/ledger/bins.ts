/** The bin while it is changed: by the name of what lies in it, however it was typed. */
import { keptAs } from '../../2-frame';
import { COUNTED_AT_MOST, LENGTHS_AT_MOST, type BinItem } from '../../model';

/** Shorter than this no saw holds it, m: waste. */
export const SHORTEST_OFFCUT = 0.02;
/** Two lengths are one within this, m. */
const SAME = 1e-7;

export class OpenBin {
  private readonly items = new Map<string, BinItem>();
  private readonly touched = new Set<string>();

  constructor(
    bin: readonly BinItem[],
    private readonly newId: () => string,
  ) {
    for (const item of bin) if (!this.items.has(keptAs(item.name))) this.items.set(keptAs(item.name), item);
  }

  /** What is otherwise now. */
  changed(): readonly BinItem[] {
    return [...this.touched].map((key) => this.items.get(key)!);
  }
  counted(name: string): number {
    return this.items.get(keptAs(name))?.count ?? 0;
  }
  lengths(name: string): readonly number[] {
    return this.items.get(keptAs(name))?.lengths ?? [];
  }
  /** Within what a bin holds. */
  addCount(name: string, by: number): void {
    if (by === 0) return;
    this.put(name, (b) => ({ ...b, count: Math.min(COUNTED_AT_MOST, Math.max(0, b.count + by)) }));
  }
  /** Waste is not kept, nor what finds no room. */
  addLength(name: string, length: number): void {
    if (length < SHORTEST_OFFCUT || this.lengths(name).length >= LENGTHS_AT_MOST) return;
    this.put(name, (b) => ({ ...b, lengths: [...b.lengths, length] }));
  }
  /** False where none lies there. */
  takeLength(name: string, length: number): boolean {
    const at = this.lengths(name).findIndex((l) => isSame(l, length));
    if (at < 0) return false;
    this.put(name, (b) => ({ ...b, lengths: b.lengths.filter((_, i) => i !== at) }));
    return true;
  }

  private put(name: string, change: (item: BinItem) => BinItem): void {
    const key = keptAs(name);
    this.items.set(key, change(this.items.get(key) ?? { id: this.newId(), name, count: 0, lengths: [] }));
    this.touched.add(key);
  }
}

export const isSame = (a: number, b: number): boolean => Math.abs(a - b) < SAME;
