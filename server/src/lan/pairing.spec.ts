import * as fc from 'fast-check';
import { Pairing, plainCode } from './pairing';

describe('a pairing code', () => {
  let at = 0;
  let pairing: Pairing;
  beforeEach(() => {
    at = Date.parse('2026-06-14T10:00:00Z');
    pairing = new Pairing(() => at);
  });
  const wrong = (from = 'a') => pairing.take('22222222', from);

  it('works once, however it is typed', () => {
    const { code } = pairing.offer('field');
    expect(code).toMatch(/^[2-9A-HJ-NP-Z]{4}-[2-9A-HJ-NP-Z]{4}$/);
    expect(pairing.take(` ${code.toLowerCase().replace('-', ' ')} `, 'a')).toEqual({ ok: true, right: 'field' });
    expect(pairing.take(code, 'a')).toEqual({ ok: false, why: 'none' });
    expect(pairing.offered()).toBeNull();
  });

  it('is over after ten minutes, and when another is made', () => {
    const first = pairing.offer('read');
    const second = pairing.offer('field');
    expect(pairing.take(first.code, 'a')).toEqual({ ok: false, why: 'wrong' });
    at += 10 * 60_000 - 1;
    expect(pairing.offered()).toEqual(second);
    at += 1;
    expect(pairing.take(second.code, 'a')).toEqual({ ok: false, why: 'none' });
  });

  it('has five tries of an address, then waits that double; another address has its own', () => {
    const { code } = pairing.offer('field');
    for (let n = 0; n < 4; n++) expect(wrong()).toEqual({ ok: false, why: 'wrong' });
    expect(wrong()).toEqual({ ok: false, why: 'wait', waitMs: 60_000 });
    // The right one neither, while it waits.
    expect(pairing.take(code, 'a')).toEqual({ ok: false, why: 'wait', waitMs: 60_000 });
    at += 60_000;
    expect(wrong()).toEqual({ ok: false, why: 'wait', waitMs: 120_000 });
    expect(pairing.take(code, 'b')).toEqual({ ok: true, right: 'field' });
  });

  it('is taken away when many addresses guess', () => {
    const { code } = pairing.offer('field');
    for (let n = 0; n < 40; n++) wrong(`address ${n}`);
    expect(pairing.offered()).toBeNull();
    expect(pairing.take(code, 'mine')).toEqual({ ok: false, why: 'none' });
  });

  it('is never guessed by what is not it', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), (typed) => {
        const { code } = new Pairing(() => at).offer('field');
        const other = new Pairing(() => at);
        const real = other.offer('read').code;
        fc.pre(plainCode(typed) !== plainCode(real));
        expect(other.take(typed, 'a').ok).toBeFalse();
        expect(other.offered()?.code).toBe(real);
        expect(code).not.toBe(real);
      }),
      { seed: 31 },
    );
  });
});
