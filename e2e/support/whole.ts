/** A rig's file as it leaves the shelf, made whole and put before an outsider's audit. */
import { existsSync, readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { faultLine, parseRigFile } from '@tide-pebble/core';
import { analyse, wholeOfFile } from '@tide-pebble/core/making';
import { kit } from '../../scripts/solids';
import { allKept, goTo, savedBy } from './bench';

export type Whole = Extract<ReturnType<typeof wholeOfFile>, { ok: true }>['whole'];
const AUDIT = new URL('../../../shared/audit-whole.mjs', import.meta.url);
/** Findings that say it cannot be built or bought so, though they stop nothing. */
const TOLD = new Set(['connectionLoose', 'heldByNothing', 'longerThanSold']);

/** All of it, and whether its findings say that it cannot be built so. */
export async function fileOf(
  page: Page,
  name: string,
): Promise<{ readonly whole: Whole; readonly isToldBroken: boolean }> {
  await allKept(page);
  await goTo(page, 'Shelf');
  const card = page.getByRole('article').filter({ has: page.getByLabel(`Name of ${name}`) });
  const file = await savedBy(page, () => card.getByRole('button', { name: `Export ${name}` }).click());
  const opened = parseRigFile(readFileSync(file, 'utf8'));
  if (!opened.ok) throw new Error(opened.faults.map(faultLine).join(', '));
  const [made, told] = [wholeOfFile(opened.value, null, kit), analyse(opened.value, null)];
  if (!made.ok || !told.ok) throw new Error('the file does not come to a rig');
  const findings = told.result['findings'] as readonly { readonly code: string; readonly severity: string }[];
  return { whole: made.whole, isToldBroken: findings.some((f) => f.severity === 'stop' || TOLD.has(f.code)) };
}

/** Its faults; none where the audit does not lie beside this project. */
export async function audited(whole: Whole): Promise<readonly string[]> {
  if (!existsSync(AUDIT)) return [];
  const { audit } = (await import(AUDIT.href)) as { audit: (report: unknown) => readonly string[] };
  return audit(whole);
}
