import { TestBed } from '@angular/core/testing';
import { NOTHING_SEEN, readings, readingsOf, type LogEntry } from '@tide-pebble/core';
import { realRig } from '../../devices/simulated-phone';
import { benchAt } from '../../testing/bench';
import { sheet } from '../../testing/sheets';
import { until } from '../../testing/until';
import { PhoneReader } from './phone-reader';

/** A phone lies on it without sliding off. */
const bench = benchAt({ 'foot-count': 14, 'stage-fore-aft': -0.03 });
const kinds = (of = bench) => readingsOf(of.work.rig, of.judged.evaluation);

describe('reading by the phone', () => {
  const start = async (of = bench) => {
    let seen: LogEntry['seen'] = NOTHING_SEEN;
    const made = await sheet(PhoneReader, of, () => undefined, { readings: kinds(of), seen });
    made.fixture.componentInstance.noted.subscribe((s) => {
      seen = s;
      made.fixture.componentRef.setInput('seen', s);
    });
    const simulate = async (fault: string): Promise<void> => {
      if (!made.page.querySelector('select'))
        made.page.querySelector<HTMLInputElement>('input[type=checkbox]')!.click();
      await made.fixture.whenStable();
      const pick = made.page.querySelector('select')!;
      pick.value = fault;
      pick.dispatchEvent(new Event('change'));
      await made.fixture.whenStable();
    };
    const shows = (words: RegExp) => until(() => words.test(made.page.textContent), String(words));
    return { ...made, simulate, shows, seen: () => seen };
  };

  it('reads the lean once and turned round, and the drop, of a rig that is not quite the drawn one', async () => {
    const { simulate, press, shows, seen } = await start();
    const real = realRig(bench.judged.context)!;
    expect(Math.abs(real.noseDown - readings(bench.judged.evaluation).noseDown!)).toBeGreaterThan(0.005);
    await simulate('none');
    await press('Read how it leans');
    await shows(/Turn the phone end for end on/);
    await press(/^Turned end for end/);
    await shows(/own fault is 1\.[34]°/);
    await press('Take this lean');
    // To the tenth of a degree it is told in, and what the second laying leaves.
    expect(Math.abs(seen().noseDown! - real.noseDown)).toBeLessThan(0.003);
    expect(Math.abs(seen().leftSideDown! - real.leftSideDown)).toBeLessThan(0.003);
    await press('Read a drop');
    await shows(/to upright, ±/);
    await press('Take this drop');
    expect(Math.abs(seen().dropTimes[0]! - real.drop)).toBeLessThan(0.05);
  });
  it('feels a flick: its pace, which way it goes, and that it is slower than was reckoned', async () => {
    const { simulate, press, shows, seen, fixture } = await start();
    fixture.componentRef.setInput('flicks', true);
    fixture.componentRef.setInput('ringsAt', 7);
    await simulate('none');
    await press('Feel a flick');
    await shows(/Hz ± .*felt for/);
    await press('Take this flick');
    const { read, way } = seen().rings!;
    expect([read.by, way]).toEqual(['phone', 'nods']);
    expect(Math.abs((read as { frequency: number }).frequency - realRig(bench.judged.context, 7)!.rings!)).toBeLessThan(
      0.05,
    );
  });
  it('feels no flick where its pace is not reckoned, and none is asked for elsewhere', async () => {
    const { page, fixture } = await start(benchAt({}, 'hand-frame'));
    expect(page.textContent).not.toContain('flick');
    fixture.componentRef.setInput('flicks', true);
    await fixture.whenStable();
    expect(page.textContent).not.toContain('simulated');
  });
  for (const [fault, words] of [
    ['denied', /allow motion for this page/],
    ['asleep', /may have none, or it sleeps/],
    ['stuck', /it is stuck/],
    ['noisy', /still swings/],
  ] as const)
    it(`says in words that the sensor is ${fault}, and takes nothing`, async () => {
      const { simulate, press, shows, seen, button } = await start();
      await simulate(fault);
      await press('Read how it leans');
      await shows(words);
      expect(button('Take this lean')).toBeUndefined();
      expect(seen()).toEqual(NOTHING_SEEN);
    });
  it('warns of what a phone weighs, and is not there where nothing hangs', async () => {
    const { page } = await start();
    const { mass, hung } = bench.judged.evaluation;
    // By moments about the pivot: what holds it upright, against the phone's.
    const holds = -mass * hung!.hang.fromPivot[2];
    const tips = Math.round((Math.atan((0.19 * 0.01) / holds) * 180) / Math.PI);
    expect(page.textContent).toContain(
      `190 g laid level with the pivot, 10 mm off its line, tips this rig by about ${tips}°`,
    );
    expect(page.textContent).toContain(`laid ${Math.round((holds / 0.19) * 1000)} mm above the pivot, it turns over`);
    TestBed.resetTestingModule();
    const held = await start(benchAt({}, 'hand-frame'));
    expect(held.page.textContent.trim()).toBe('');
  });
});
