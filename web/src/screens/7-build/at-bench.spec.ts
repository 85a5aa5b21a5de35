import type { BuildStep } from '@tide-pebble/core/making';
import { benchAt } from '../../testing/bench';
import { sheet } from '../../testing/sheets';
import { AtBench } from './at-bench';
import { Build } from './build';
import { SettingClock } from './setting-clock';

const glued: BuildStep = {
  id: 'connect:leg',
  about: 'leg',
  title: ['Glue the leg into the tee'],
  tool: 'brush',
  figures: [],
  check: ['it is square'],
  caution: 'Open a window.',
  minutes: 5,
  dries: 7200,
  final: true,
  needs: [],
};
const shown = (step: BuildStep) => ({ step, number: 1, done: true, minutes: step.minutes, goesOn: step.dries! });
const ago = (seconds: number): string => new Date(Date.now() - 1000 * seconds).toISOString();

describe('what sets', () => {
  it('is told with what is left of its time; what has set, was unticked or was never glued is not', async () => {
    const other = { ...glued, id: 'connect:other', title: ['Glue the other leg'] };
    const steps = [shown(glued), shown(other), { ...shown({ ...glued, id: 'connect:third' }), done: false }];
    const setting = { 'connect:leg': ago(3600), 'connect:other': ago(8000), 'connect:third': ago(10) };
    const { page } = await sheet(SettingClock, benchAt({}), undefined, { setting, steps });
    const lines = [...page.querySelectorAll('li')].map((li) => li.textContent.replace(/\s+/g, ' ').trim());
    expect(lines.length).toBe(1);
    expect(lines[0]).toMatch(/^Glue the leg into the tee: until \w+ \d\d:\d\d, (1 h|60 min) to go$/);
  });

  it('says so when it has set', async () => {
    const { page, said, fixture } = await sheet(SettingClock, benchAt({}), undefined, {
      setting: { 'connect:leg': ago(7199) },
      steps: [shown(glued)],
    });
    expect(page.querySelectorAll('li').length).toBe(1);
    await new Promise((done) => setTimeout(done, 2200));
    await fixture.whenStable();
    expect(page.querySelectorAll('li').length).toBe(0);
    expect(said).toEqual(['It has set: Glue the leg into the tee.']);
  });

  it('begins when its step is ticked off, and is forgotten with the tick', async () => {
    const { page, fixture, workspace } = await sheet(Build, benchAt({}, 'hand-frame'));
    const boxes = (): HTMLInputElement[] => [
      ...page.querySelectorAll<HTMLInputElement>('ol.plain-list input[type=checkbox]'),
    ];
    const n = [...page.querySelectorAll('ol.plain-list > li')].findIndex((li) =>
      li.textContent.includes('before it is loaded'),
    );
    boxes()[n]!.click();
    await fixture.whenStable();
    expect(Object.keys(workspace.now.rig.setting!).length).toBe(1);
    boxes()[n]!.click();
    await fixture.whenStable();
    expect(workspace.now.rig.setting).toEqual({});
  });
});

describe('at the bench', () => {
  const open = () => sheet(AtBench, benchAt({}), undefined, { step: glued, number: 7 });

  it('ticks off what is next by one big button', async () => {
    const { fixture, press } = await open();
    let done = 0;
    fixture.componentInstance.done.subscribe(() => done++);
    await press(/Step 7 is done/);
    expect(done).toBe(1);
  });

  it('says the step with its check and caution, or that there is no voice', async () => {
    const { page, press } = await open();
    spyOn(speechSynthesis, 'getVoices').and.returnValue([]);
    await press(/Say it/);
    expect(page.querySelector('[role=alert]')!.textContent).toContain('no voice');
    (speechSynthesis.getVoices as jasmine.Spy).and.returnValue([{} as SpeechSynthesisVoice]);
    const speak = spyOn(speechSynthesis, 'speak');
    await press(/Say it/);
    expect(speak.calls.mostRecent().args[0].text).toBe(
      'Glue the leg into the tee. Check: it is square. Open a window.',
    );
    expect(page.querySelector('[role=alert]')).toBeNull();
  });

  it('keeps the screen awake while asked to, and says where it may not', async () => {
    const { page, fixture } = await open();
    const release = jasmine.createSpy('release').and.resolveTo();
    const request = spyOn(navigator.wakeLock, 'request').and.resolveTo({ release } as unknown as WakeLockSentinel);
    const box = page.querySelector<HTMLInputElement>('input[type=checkbox]')!;
    box.click();
    await fixture.whenStable();
    expect(request).toHaveBeenCalledTimes(1);
    box.click();
    await fixture.whenStable();
    expect(release).toHaveBeenCalledTimes(1);
    request.and.rejectWith(new Error('denied'));
    box.click();
    await fixture.whenStable();
    expect(page.querySelector('[role=alert]')!.textContent).toContain('kept awake');
    expect(box.checked).toBeFalse();
  });
});
