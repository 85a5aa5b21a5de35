/** What can be done with the thing picked: each act is one edit of that element, in the words its maker typed. */
import { choose, panel } from '../../testing/panel';
import { type } from '../../testing/type';
import { ElementEditor } from './element-editor';

const picked = (family: string, target: string) => panel(ElementEditor, family, { target });
const settle = (s: Awaited<ReturnType<typeof picked>>) => (): Promise<unknown> => s.fixture.whenStable();

describe('the thing picked', () => {
  it('a part is moved by the difference to what was typed, one axis at a time', async () => {
    const s = await picked('gimballed-bent-bar', 'stage-top');
    const part = s.workspace.now.work.rig.bodies.flatMap((b) => b.parts).find((p) => p.id === 'stage-top')!;
    await type(s.page, 'Forward of the middle', '50 mm', settle(s));
    const [edit] = s.workspace.edited;
    if (edit?.kind !== 'move') return fail(edit?.kind);
    expect(edit.target).toBe('stage-top');
    expect(edit.by[0]).toBeCloseTo(0.05 - part.at[0], 12);
    expect(edit.by.slice(1)).toEqual([0, 0]);
  });
  it('turned by an angle, and by none not at all', async () => {
    const s = await picked('gimballed-bent-bar', 'stage-top');
    await type(s.page, 'Turn further: nose down', '0°', settle(s));
    expect(s.workspace.edited).toEqual([]);
    await type(s.page, 'Turn further: nose down', '90°', settle(s));
    const [edit] = s.workspace.edited;
    if (edit?.kind !== 'turn') return fail(edit?.kind);
    // A quarter turn about y.
    const half = Math.SQRT1_2;
    edit.turn.forEach((c, i) => expect(Math.abs(c)).toBeCloseTo([half, 0, half, 0][i]!, 12));
  });
  it('weighed keeps what was typed; a copy stands beside it and is picked; off it can be undone', async () => {
    const s = await picked('gimballed-bent-bar', 'stage-top');
    const went: string[] = [];
    s.fixture.componentInstance.picked.subscribe((id) => went.push(id));
    s.fixture.componentInstance.closed.subscribe(() => went.push('closed'));
    const mass = [...s.page.querySelectorAll('label')].map((l) => l.textContent!.trim()).find((t) => /^Mass/.test(t))!;
    await type(s.page, mass, '31.5 g', settle(s));
    await s.press('Copy');
    await s.press('Take it off');
    const [weighed, copy, off] = s.workspace.edited;
    if (weighed?.kind !== 'weigh' || copy?.kind !== 'add' || off?.kind !== 'remove') return fail(s.workspace.edited);
    expect(weighed.mass).toEqual(jasmine.objectContaining({ value: 0.0315, typed: '31.5 g' }));
    const part = s.workspace.now.work.rig.bodies.flatMap((b) => b.parts).find((p) => p.id === 'stage-top')!;
    expect(copy.part.at[0] - part.at[0]).toBeCloseTo(0.02, 12);
    expect(went).toEqual([copy.part.id, 'closed']);
    expect(s.said).toEqual([`The ${part.name} is off the rig.`]);
  });
  it('what lies in the middle plane has no mirror image: it says so and does nothing', async () => {
    const s = await picked('gimballed-bent-bar', 'stage-top');
    await s.press('Mirror');
    expect(s.workspace.edited).toEqual([]);
    expect(s.said[0]).toContain('middle plane');
  });
  it('a screw’s thread is changed on its connection; a rod’s is its own', async () => {
    const s = await picked('gimballed-bent-bar', 'stage-rear/screw');
    choose(s.page, 'Thread', /^\s*M6/);
    await settle(s)();
    expect(s.workspace.edited[0]).toEqual(
      jasmine.objectContaining({ kind: 'thread', target: 'stage-rear', thread: 'M6' }),
    );
    const rod = await picked('tube-frame', 'front-left-nuts/nut');
    expect(rod.page.querySelector('[aria-label="Thread"]')).toBeNull();
    choose(rod.page, 'Nut', /^\s*cap nut/);
    await settle(rod)();
    choose(rod.page, 'Spring washer', /under the nut/);
    await settle(rod)();
    expect(rod.workspace.edited.map((e) => ({ ...e, id: '' }))).toEqual([
      { kind: 'fasten', id: '', target: 'front-left-nuts', nut: 'cap' },
      { kind: 'fasten', id: '', target: 'front-left-nuts', lockWasher: 'spring' },
    ]);
    const camera = await picked('gimballed-bent-bar', 'camera/screw');
    expect(camera.page.querySelector('[aria-label="Nut"]')).toBeNull();
    const options = [...camera.page.querySelectorAll('[aria-label="Thread"] option')].map((o) => o.textContent!.trim());
    expect(options).toEqual(['1/4-20', '3/8-16']);
  });
  it('a thread that no list has is typed as its die says it; what is none is said beside it and changes nothing', async () => {
    const s = await picked('gimballed-bent-bar', 'stage-rear/screw');
    choose(s.page, 'Thread', /^\s*another/);
    await settle(s)();
    expect(s.workspace.edited).toEqual([]);
    await type(s.page, 'Thread, as its die says it', 'seven', settle(s));
    expect(s.page.querySelector('[role=alert]')!.textContent).toContain('no thread');
    expect(s.workspace.edited).toEqual([]);
    await type(s.page, 'Thread, as its die says it', '10-32', settle(s));
    expect(s.workspace.edited[0]).toEqual(
      jasmine.objectContaining({ kind: 'thread', target: 'stage-rear', thread: '10-32' }),
    );
    expect(s.page.querySelector('[role=alert]')).toBeNull();
  });
  it('a bar is cut from another stock, and stops short in its fitting by what was typed', async () => {
    const family = 'pipe-post';
    const bar = (await panel(ElementEditor, family, { target: 'none' })).workspace.now.work.rig.bodies
      .flatMap((b) => b.members)
      .find((m) => m.stock.section.kind === 'tube')!;
    const s = await picked(family, bar.id);
    expect(s.page.textContent).toContain('Sawn length');
    choose(s.page, 'Cut from', /copper/i);
    const [edit] = s.workspace.edited;
    if (edit?.kind !== 'restock') return fail(edit?.kind);
    expect(edit.target).toBe(bar.id);
    const short = [...s.page.querySelectorAll('label')]
      .map((l) => l.textContent!.trim())
      .find((t) => t.startsWith('Short of home'));
    if (!short) return fail('no socket to stop short in');
    await type(s.page, short, '3 mm', settle(s));
    expect(s.workspace.edited.at(-1)).toEqual(
      jasmine.objectContaining({
        kind: 'short',
        target: bar.id,
        by: jasmine.objectContaining({ value: 0.003, typed: '3 mm' }),
      }) as never,
    );
  });
  it('a fitting is measured: how far its pipe goes in, how it is held', async () => {
    const joint = (await panel(ElementEditor, 'pipe-post', { target: 'none' })).workspace.now.work.rig.bodies
      .flatMap((b) => b.joints)
      .find((j) => j.hub)!;
    const s = await picked('pipe-post', joint.id);
    await type(s.page, 'Pipe goes in', '19 mm', settle(s));
    choose(s.page, 'Held by', /pin/);
    expect(s.workspace.edited).toEqual([
      jasmine.objectContaining({ kind: 'fitting', target: joint.id, depth: 0.019 }) as never,
      jasmine.objectContaining({ kind: 'fitting', target: joint.id, hold: 'pinned' }) as never,
    ]);
  });
  it('nothing is shown of what is gone, and an edit that cannot be is told', async () => {
    const gone = await panel(ElementEditor, 'pipe-post', { target: 'gone' });
    expect(gone.page.textContent!.trim()).toBe('');
    const s = await picked('gimballed-bent-bar', 'stage-top');
    spyOn(s.workspace, 'edit').and.returnValue(false);
    await s.press('Take it off');
    expect(s.said).toEqual(['That cannot be done with this part.']);
  });
});
