/** The panels of the frame on their own: adding, packing, and who holds it. */
import { choose, panel } from '../../testing/panel';
import { type } from '../../testing/type';
import { HolderPanel } from '../4-balance/holder-panel';
import { AddPanel } from './add-panel';
import { PackPanel } from './pack-panel';

describe('adding to a rig', () => {
  it('puts a part beside what is picked, under a name that is free', async () => {
    const { workspace, press, fixture } = await panel(AddPanel, 'gimballed-bent-bar', { picked: 'stage-top' });
    const added: string[] = [];
    fixture.componentInstance.added.subscribe((id) => added.push(id));
    await press('Add the part');
    const [edit] = workspace.edited;
    if (edit?.kind !== 'add') return fail(edit?.kind);
    expect(added).toEqual([edit.part.id]);
    const { rig } = workspace.now.work;
    expect(rig.bodies.flatMap((b) => b.parts.map((p) => p.id))).not.toContain(edit.part.id);
    const stage = rig.bodies.flatMap((b) => b.parts).find((p) => p.id === 'stage-top')!;
    expect(Math.hypot(...edit.part.at.map((x, i) => x - stage.at[i]!))).toBeLessThan(0.1);
  });
  it('runs a bar from a corner the way that is chosen, as long as typed, and a pipe with its fittings', async () => {
    const { page, workspace, press, fixture } = await panel(AddPanel, 'pipe-post');
    choose(page, 'Going', /^up$/);
    choose(page, 'Cut from', /PVC|pipe/i);
    await type(page, 'Corner to corner', '300 mm', () => fixture.whenStable());
    await press('Add the bar');
    const [edit] = workspace.edited;
    if (edit?.kind !== 'addMember') return fail(edit?.kind);
    const from = workspace.now.work.rig.bodies.flatMap((b) => b.nodes).find((n) => n.id === edit.member.from)!;
    const by = edit.nodes[0]!.at.map((x, i) => x - from.at[i]!);
    expect(by[0]).toBeCloseTo(0, 12);
    expect(by[1]).toBeCloseTo(0, 12);
    expect(by[2]).toBeCloseTo(0.3, 12);
    expect(edit.joints.every((j) => j.joins.includes(edit.member.id))).toBeTrue();
  });
  it('gives a bolt as many washers as it has room for', async () => {
    const { workspace, press } = await panel(AddPanel);
    await press('Add the bolt');
    const [edit] = workspace.edited;
    if (edit?.kind !== 'addStation') return fail(edit?.kind);
    expect(edit.countMost * edit.station.washer.thickness).toBeLessThanOrEqual(edit.station.room + 1e-9);
    expect((edit.countMost + 1) * edit.station.washer.thickness).toBeGreaterThan(edit.station.room);
  });
});

describe('in the bag', () => {
  it('tells the pieces, asks for the bag, and says whether they go in', async () => {
    const { page, workspace, show, fixture } = await panel(PackPanel, 'pipe-post');
    expect(page.textContent).toMatch(/joints? opens?; \d+ pieces?\. About .* to pack and .* to set up again/);
    expect(page.querySelectorAll('li').length).toBeGreaterThan(0);
    await type(page, 'Bag, inside length', '90 mm', () => fixture.whenStable());
    expect(workspace.now.rig.wants.bag).toEqual([0.09, 0.32, 0.2]);
    await show();
    expect(page.querySelector('.wrong')!.textContent).toContain('It does not go in this bag');
    await type(page, 'Bag, inside length', '1.9 m', () => fixture.whenStable());
    await show();
    expect(page.textContent).toContain('It goes in this bag');
  });
});

describe('who holds it', () => {
  it('tells elbow and reach of the pose that is drawn, by the maker’s own measures', async () => {
    const { page, workspace, show, fixture } = await panel(HolderPanel, 'hand-frame');
    const posed: (string | null)[] = [];
    fixture.componentInstance.posed.subscribe((id) => posed.push(id));
    const [pose] = workspace.now.work.rig.poses;
    choose(page, 'Draw the pose', new RegExp(`^${pose!.name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}$`));
    await fixture.whenStable();
    expect(posed).toEqual([pose!.id]);
    expect(page.querySelector('[role=status]')!.textContent).toMatch(
      /At the elbow .*N·m.*Rough: people differ\.|Out of reach/,
    );
    await type(page, 'Your height', '1.55 m', () => fixture.whenStable());
    expect(workspace.now.rig.hands).toEqual(jasmine.objectContaining({ stature: 1.55 }));
    await show();
  });
  it('keeps what a hand can bear as an edit of its own', async () => {
    const { page, workspace, fixture } = await panel(HolderPanel, 'shoulder-rig');
    const [pose] = workspace.now.work.rig.poses;
    choose(page, 'Draw the pose', new RegExp(`^${pose!.name}`));
    await fixture.whenStable();
    const label = page.querySelector('details label')!.textContent.trim();
    await type(page, label, '25 N', () => fixture.whenStable());
    expect(workspace.edited).toEqual([jasmine.objectContaining({ kind: 'comfort', limit: 25 })]);
  });
});
