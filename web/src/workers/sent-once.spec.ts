import { Receiver, Sender } from './sent-once';

describe('what a worker has been sent', () => {
  const across = (): { readonly send: (input: unknown) => unknown; readonly bytes: () => number } => {
    const [sender, receiver] = [new Sender(), new Receiver()];
    let bytes = 0;
    return {
      send: (input) => {
        const packed = structuredClone(sender.pack(input));
        bytes = JSON.stringify(packed).length;
        return receiver.unpack(packed);
      },
      bytes: () => bytes,
    };
  };

  it('is not sent again, and is there as the same thing', () => {
    const { send, bytes } = across();
    const rig = { parts: Array.from({ length: 1000 }, (_, i) => i) };
    const first = send({ rig, values: { a: 1 }, kerf: 0.001 }) as { rig: object };
    expect(first).toEqual({ rig, values: { a: 1 }, kerf: 0.001 } as never);
    expect(bytes()).toBeGreaterThan(3000);
    const second = send({ rig, values: { a: 2 }, kerf: 0.001 }) as { rig: object };
    expect(second).toEqual({ rig, values: { a: 2 }, kerf: 0.001 } as never);
    expect(second.rig).toBe(first.rig);
    expect(bytes()).toBeLessThan(200);
  });

  it('arrives whole however many other things come between', () => {
    const { send } = across();
    const things = Array.from({ length: 40 }, (_, i) => ({ i }));
    for (let n = 0; n < 400; n++) {
      const pick = (k: number): object => things[(n * k * 7 + k) % (n % 3 === 0 ? 5 : 40)]!;
      const input = { a: pick(1), b: pick(2), c: n % 2 ? pick(1) : null, d: n, e: undefined };
      expect(send(input)).toEqual(input);
    }
    // More in one message than are kept.
    const many = Object.fromEntries(things.map((t) => [`f${t.i}`, t]));
    for (let n = 0; n < 3; n++) expect(send(many)).toEqual(many);
  });

  it('may be a list or nothing at all', () => {
    const { send } = across();
    for (const input of [[{ a: 1 }, { b: 2 }], null, 7, 'x']) expect(send(input)).toEqual(input);
  });
});
