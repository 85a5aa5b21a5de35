/** A case's answer against what it expects, by the tolerance rules stated in the file's `about`. */
import type { Given } from './physicsCase';

interface Tolerance {
  readonly rel?: number;
  readonly abs?: number;
}

/** One line for every key that is off; empty when all agree. */
export function compareCase(
  got: Given,
  expect: Given,
  tolerance: Tolerance & { perKey?: Readonly<Record<string, Tolerance>> },
): readonly string[] {
  const off: string[] = [];
  const walk = (path: string, have: unknown, want: unknown, rule: Tolerance, scale: number | null): void => {
    if (typeof want === 'number') {
      const allowed = (rule.abs ?? 0) + (rule.rel ?? 0) * (scale ?? Math.abs(want));
      if (typeof have !== 'number' || !(Math.abs(have - want) <= allowed))
        off.push(
          `${path}: got ${String(have)}, want ${want}${typeof have === 'number' ? `, off by ${Math.abs(have - want).toExponential(2)}, allowed ${allowed.toExponential(2)}` : ''}`,
        );
    } else if (Array.isArray(want)) {
      if (!Array.isArray(have) || have.length !== want.length)
        off.push(`${path}: got ${JSON.stringify(have)}, want ${JSON.stringify(want)}`);
      else {
        const numbers = (want.flat(9) as unknown[]).filter((x): x is number => typeof x === 'number');
        const largest = scale ?? Math.max(0, ...numbers.map(Math.abs));
        want.forEach((w, i) => walk(`${path}[${i}]`, have[i], w, rule, largest));
      }
    } else if (want !== null && typeof want === 'object') {
      for (const [key, value] of Object.entries(want)) {
        walk(
          path === '' ? key : `${path}.${key}`,
          (have as Given | undefined)?.[key],
          value,
          { ...rule, ...tolerance.perKey?.[key] },
          null,
        );
      }
    } else if (have !== want) off.push(`${path}: got ${String(have)}, want ${String(want)}`);
  };
  walk(
    '',
    got,
    expect,
    {
      ...(tolerance.rel === undefined ? {} : { rel: tolerance.rel }),
      ...(tolerance.abs === undefined ? {} : { abs: tolerance.abs }),
    },
    null,
  );
  return off;
}
