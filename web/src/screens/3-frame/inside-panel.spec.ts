import { TestBed } from '@angular/core/testing';
import type { Looked, Rig } from '@tide-pebble/core';
import { Observable, Subject } from 'rxjs';
import { Solids, type Look } from '../../services/solids';
import { benchAt, withRig } from '../../testing/bench';
import { pause } from '../../testing/pause';
import { InsidePanel } from './inside-panel';

const clear: Looked = { overlaps: [], clear: [['bar', 'stage-base']], pieces: 2 };
const inside: Looked = {
  overlaps: [
    { a: 'bar', b: 'stage-base', volume: 1e-6, allowedBy: null },
    { a: 'bar', b: 'joint-stud/screw', volume: 1e-7, allowedBy: 'joint-stud' },
  ],
  clear: [],
  pieces: 3,
};

const platformLowered = (rig: Rig): Rig => ({
  ...rig,
  bodies: rig.bodies.map((b) => ({
    ...b,
    parts: b.parts.map((p) => ({ ...p, at: [p.at[0] + 0.02, p.at[1], p.at[2] - 0.012] as const })),
  })),
});

async function looking() {
  const asked: Subject<Look>[] = [];
  let dropped = 0;
  const counted: number[] = [];
  const solids: Pick<Solids, 'look' | 'found'> = {
    found: (_assembly, pairs) => void counted.push(pairs),
    look: () =>
      new Observable((subscriber) => {
        const answers = new Subject<Look>();
        asked.push(answers);
        const heard = answers.subscribe(subscriber);
        return () => {
          heard.unsubscribe();
          dropped++;
        };
      }),
  };
  TestBed.configureTestingModule({ imports: [InsidePanel], providers: [{ provide: Solids, useValue: solids }] });
  const fixture = TestBed.createComponent(InsidePanel);
  const show = async (values: Readonly<Record<string, number>>): Promise<void> => {
    fixture.componentRef.setInput('bench', benchAt(values));
    await fixture.whenStable();
    await pause(fixture);
  };
  await show({});
  const said = async (look: Look, of = asked.length - 1): Promise<string> => {
    asked[of]!.next(look);
    await fixture.whenStable();
    return (fixture.nativeElement as HTMLElement).textContent!.replace(/\s+/g, ' ');
  };
  return { asked, said, show, fixture, counted, dropped: () => dropped };
}

describe('room for everything', () => {
  it('says how far the look is, then that nothing stands inside another, with how much was looked at', async () => {
    const { asked, said } = await looking();
    expect(asked.length).toBe(1);
    expect(await said({ kind: 'looking', part: 0.4 })).toContain('40 %');
    expect(await said({ kind: 'looked', looked: clear })).toContain(
      'Nothing stands inside another. 2 pieces; the one pair that comes near each other was cut',
    );
  });
  it('names what does, and nothing that a connection allows', async () => {
    const { said, fixture, counted } = await looking();
    const text = await said({ kind: 'looked', looked: inside });
    expect(text).toContain('One pair has no room');
    expect(text).toContain('as much as a cube of 10 mm');
    expect((fixture.nativeElement as HTMLElement).querySelectorAll('li').length).toBe(1);
    expect(text).not.toContain('stud');
    // For the count at its stage.
    expect(counted).toEqual([1]);
  });
  it('says nothing of a rig as it was before the last edit, and drops that look', async () => {
    const { asked, said, show, dropped } = await looking();
    expect(await said({ kind: 'looked', looked: clear })).toContain('Nothing stands inside');
    await show({ 'rear-count': 3 });
    expect([asked.length, dropped()]).toEqual([2, 1]);
    expect(await said({ kind: 'looked', looked: clear }, 0)).toContain('Looking whether');
  });
  it('while something is dragged tells at once what it comes into, by boxes and rounds, till it is looked at again', async () => {
    const { said, show, fixture } = await looking();
    const coming = (): readonly string[] =>
      [...(fixture.nativeElement as HTMLElement).querySelectorAll('[aria-label="Coming into each other"] strong')].map(
        (e) => e.textContent!.trim(),
      );
    await said({ kind: 'looked', looked: clear });
    expect(coming()).toEqual([]);
    await show({ 'stage-fore-aft': 0.002 });
    expect(coming()).toEqual([]);
    // All but the bar so far down that it comes into it.
    fixture.componentRef.setInput('bench', withRig(benchAt({}), platformLowered));
    await fixture.whenStable();
    expect(coming().length).toBeGreaterThan(0);
    await pause(fixture);
    expect(await said({ kind: 'looked', looked: clear })).not.toContain('comes into');
  });
  it('says that nothing is known where it could not be looked at', async () => {
    const { said } = await looking();
    expect(await said({ kind: 'failed', reason: 'no such file' })).toContain('Nothing is known of it');
  });
});
