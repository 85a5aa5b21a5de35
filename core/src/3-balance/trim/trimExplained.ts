/** Trim, and where it is impossible what would make it possible; takes longer, so for a worker. */
import { figure, say } from '../../0-base';
import type { AdjusterValues, Assembly } from '../../2-frame';
import type { Wants } from '../../model';
import { bagRemedies } from './bagRemedies';
import { missingWashers } from './missingWashers';
import { remedies, type Remedy } from './remedies';
import { trim, type TrimOptions, type TrimOutcome } from './trim';
import { wantedOf } from './wantedOf';

export type ExplainedTrim =
  | Exclude<TrimOutcome, { kind: 'impossible' }>
  | (Extract<TrimOutcome, { kind: 'impossible' }> & { readonly remedies: readonly Remedy[] });

export function trimExplained(
  assembly: Assembly,
  values: AdjusterValues,
  wants: Wants,
  { aim = 'lightest', tell = () => undefined }: TrimOptions = {},
): ExplainedTrim {
  const outcome = trim(assembly, values, wants, { aim, tell: (part) => tell(part / 2) });
  if (outcome.kind !== 'impossible') return outcome;
  if (outcome.failing === 'bag' && wants.bag)
    return { ...outcome, remedies: bagRemedies(assembly.rig, outcome.nearest, { ...wants, bag: wants.bag }) };
  if (outcome.failing === 'bin' && assembly.atHand) {
    const enough = trim({ ...assembly, atHand: null }, values, wants, { aim });
    const missing = enough.kind === 'solved' ? [...missingWashers(assembly, enough.values, assembly.atHand)] : [];
    return {
      ...outcome,
      remedies: missing.map(([name, count]) => ({
        label: say`Get ${figure('count', count)} more of ${name}.`,
        whole: false,
        changes: [],
        wants: null,
      })),
    };
  }
  return {
    ...outcome,
    remedies: remedies(assembly, values, wants, wantedOf(assembly, values, wants)!, (part) => tell(0.5 + part / 2)),
  };
}
