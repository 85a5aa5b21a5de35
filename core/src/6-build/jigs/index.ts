/** All jigs of a rig that a printer makes. */
import { say } from '../../0-base';
import type { Assembly } from '../../2-frame';
import { namesOf } from '../namesOf';
import { patternInput } from '../patterns/patternsOf';
import { corner } from './corner';
import type { Jig } from './jig';
import { lid } from './lid';
import { sleeve } from './sleeve';

export { castJig } from './castJig';
export type { Jig } from './jig';

const MAKERS = [sleeve, lid, corner];

/** Two that are the same to a hundredth of a millimetre are one, which serves both pieces. */
export function jigsOf(assembly: Assembly): readonly Jig[] {
  const input = patternInput(assembly);
  const nameOf = namesOf(assembly.rig);
  const found = new Map<string, Jig>();
  for (const jig of MAKERS.flatMap((make) => make(input))) {
    const key = formOf(jig);
    const same = found.get(key);
    found.set(key, same ? { ...same, says: [...same.says, say`The same serves the ${nameOf(jig.about)}.`] } : jig);
  }
  return [...found.values()];
}

const formOf = ({ size, cuts, guides }: Jig): string =>
  JSON.stringify([size, ...cuts, ...guides.map(({ at, way, diameter }) => ({ at, way, diameter }))], (_, x: unknown) =>
    typeof x === 'number' ? Math.round(x * 1e5) || 0 : x,
  );
