import { camera, lens, loadout } from '../testing/rigs';
import { changedLoadout } from './changedLoadout';
import { NEW, nameByKit, renamedByKit } from './loadoutName';

const kit = new Map([
  [camera.id, camera],
  [lens.id, lens],
]);
const alone = { ...loadout, name: 'Heron body alone', items: loadout.items.slice(0, 1) };

describe('a loadout’s name', () => {
  it('says what stands on it, and follows that while nobody has typed another', () => {
    expect(nameByKit(alone, kit)).toBe('Heron body alone');
    const both = changedLoadout(alone, { kind: 'mount', item: lens.id }, kit, () => 'new');
    expect(renamedByKit(alone, both, kit).name).toBe('Heron body, Wide lens');
    const typed = { ...alone, name: 'Walks' };
    expect(renamedByKit(typed, { ...both, name: 'Walks' }, kit).name).toBe('Walks');
    expect(renamedByKit({ ...alone, name: NEW, items: [] }, { ...alone, name: NEW }, kit).name).toBe(
      'Heron body alone',
    );
  });
  it('follows a new name of what is on it, and stays where nothing is known on it', () => {
    const after = new Map(kit).set(camera.id, { ...camera, name: 'Knot' });
    expect(renamedByKit(alone, alone, kit, after).name).toBe('Knot alone');
    expect(nameByKit({ items: [] }, kit)).toBeNull();
    expect(renamedByKit(alone, { ...alone, items: [] }, kit).name).toBe('Heron body alone');
  });
});
