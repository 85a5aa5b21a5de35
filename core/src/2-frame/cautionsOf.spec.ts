import { cautionsOf, FAMILIES, familyById, freed, designRig } from '.';
import { familyInput } from './family';

const of = (id: string): string => {
  const family = familyById(id)!;
  return cautionsOf(family.build(familyInput(family, {}, {}).input)).join(' ');
};

describe('cautions', () => {
  it('are the strongest for what spins on a head', () => {
    expect(of('helmet-pole')).toContain('Never a bolt');
    expect(of('helmet-pole')).toContain('break away');
    expect(of('helmet-pole')).toMatch(/traffic/);
  });
  it('are for what a rig is, whatever its family: freed, it keeps them', () => {
    const free = freed({ kind: 'family', family: 'helmet-pole', dimensions: {}, choices: {}, edits: [] })!;
    const made = designRig(free);
    expect(made.ok && cautionsOf(made.rig).join(' ')).toBe(of('helmet-pole'));
  });
  it('speak of wires for a long boom, of shoulders, of swinging arms; and of a tether for all', () => {
    expect(of('boom')).toContain('overhead wires');
    expect(of('shoulder-rig')).toContain('numb fingers');
    expect(of('three-axis-frame')).toContain('keep fingers');
    for (const family of FAMILIES) expect(of(family.id)).withContext(family.id).toContain('Tether it');
  });
});
