import { TestBed } from '@angular/core/testing';
import { METRIC, render } from '@tide-pebble/core';
import { throwError } from 'rxjs';
import { benchAt } from '../testing/bench';
import { PlayedJobs, PlayedWorkspace } from '../testing/sheets';
import { until } from '../testing/until';
import { Firmnesses, type FirmNow } from './firmnesses';
import { Jobs } from './jobs';
import { Workspace } from './workspace';

const bench = benchAt({ 'foot-count': 10 });
const service = () => {
  const workspace = new PlayedWorkspace(bench);
  const jobs = new PlayedJobs();
  TestBed.resetTestingModule().configureTestingModule({
    providers: [
      { provide: Workspace, useValue: workspace },
      { provide: Jobs, useValue: jobs },
    ],
  });
  const firmnesses = TestBed.inject(Firmnesses);
  const seen: FirmNow[] = [];
  const follow = (): void => void firmnesses.bench$.subscribe((now) => seen.push(now));
  return { workspace, jobs, firmnesses, seen, follow, last: () => seen.at(-1) };
};
const known = (now: FirmNow | undefined) => now?.firm ?? null;

describe('how firm a rig is, beside the page', () => {
  it('is worked out for the bench, and while edits go on for the newest of them only', async () => {
    const { workspace, jobs, seen, follow, last } = service();
    follow();
    expect(last()).toEqual({ firm: null, lags: false });
    const first = await until(() => known(last()), 'the first answer');
    jobs.held = [];
    for (let n = 11; n <= 18; n++) {
      workspace.setAdjusters('more', { 'foot-count': n });
      await new Promise((done) => setTimeout(done, 20));
    }
    // The figure stays, and says that it is late.
    expect(known(last())).toBe(first);
    await until(() => last()?.lags, 'being late');
    jobs.letGo();
    await until(() => known(last()) !== first && last()?.lags === false, 'the newest');
    expect(jobs.asked.length).toBeLessThan(5);
    expect(seen.every((now) => now.firm !== null || now === seen[0] || now.lags === false)).toBeTrue();
  });
  it('shows nothing of another rig', async () => {
    const { workspace, jobs, follow, last } = service();
    follow();
    await until(() => known(last()), 'the first answer');
    jobs.held = [];
    const other = benchAt({}, 'boom');
    workspace.put({ ...other, rig: { ...other.rig, id: 'r2' } });
    expect(known(last())).toBeNull();
    await until(() => jobs.held?.length === 1, 'being asked');
    jobs.letGo();
    await until(() => known(last()), 'its own answer');
  });
  it('says that it could not be reckoned, and why, where the work fails', async () => {
    const { jobs, firmnesses, follow, last } = service();
    jobs.run = () => throwError(() => new Error('out of room'));
    follow();
    const firm = await until(() => known(last()), 'the reason');
    expect(firm.rings).toBeNull();
    expect(render(firm.against[0]!.why, METRIC)).toContain('out of room');
    const told: unknown[] = [];
    firmnesses.of('r1', { assembly: bench.work.assembly, values: {} }).subscribe((f) => told.push(f));
    await until(() => told.length === 1, 'the same of another');
  });
  it('is told of others one at a time, once for each', async () => {
    const { firmnesses, jobs } = service();
    const asked = { assembly: bench.work.assembly, values: bench.values };
    const told: unknown[] = [];
    firmnesses.of('r1', asked).subscribe((firm) => told.push(firm));
    await until(() => told.length === 1, 'an answer');
    firmnesses.of('r1', asked).subscribe((firm) => told.push(firm));
    await until(() => told.length === 2, 'the same answer');
    expect(told[1]).toBe(told[0]);
    expect(jobs.asked).toEqual(['firmness']);
  });
});
