/** Models out, and printed parts in: what comes is weighed and added, what cannot be is told with nothing changed. */
import { panel } from '../../testing/panel';
import { until } from '../../testing/until';
import { FilesPanel } from './files-panel';

/** A tetrahedron with legs of 30 mm, as text; without its last face it is open. */
const stl = (faces: number): string =>
  `solid t\n${[
    [
      [0, 0, 0],
      [0, 30, 0],
      [30, 0, 0],
    ],
    [
      [0, 0, 0],
      [30, 0, 0],
      [0, 0, 30],
    ],
    [
      [0, 0, 0],
      [0, 0, 30],
      [0, 30, 0],
    ],
    [
      [30, 0, 0],
      [0, 30, 0],
      [0, 0, 30],
    ],
  ]
    .slice(0, faces)
    .map(
      (f) => `facet normal 0 0 0\nouter loop\n${f.map((v) => `vertex ${v.join(' ')}`).join('\n')}\nendloop\nendfacet`,
    )
    .join('\n')}\nendsolid t\n`;

describe('models in and out', () => {
  const shown = async () => {
    const s = await panel(FilesPanel);
    const field = s.page.querySelector<HTMLInputElement>('input[type=file]')!;
    const give = (name: string, text: string): void => {
      const files = new DataTransfer();
      files.items.add(new File([text], name));
      field.files = files.files;
      field.dispatchEvent(new Event('change'));
    };
    const told = (): Promise<HTMLElement> =>
      until(() => {
        const line = s.page.querySelector<HTMLElement>('p[role]');
        return line?.textContent ? line : null;
      }, 'what came of it');
    return { ...s, give, told };
  };

  it('a printed part is weighed by its volume and material, and goes on the body that holds the camera', async () => {
    const s = await shown();
    const added: string[] = [];
    s.fixture.componentInstance.added.subscribe((id) => added.push(id));
    s.give('wedge.stl', stl(4));
    const line = await s.told();
    const [edit] = s.workspace.edited;
    if (edit?.kind !== 'add') return fail(line.textContent);
    // 30^3 / 6 mm^3 = 4.5 cm^3 of PETG at 1.27 g/cm^3.
    expect(line.textContent).toContain('wedge is on the rig: 5.7 g');
    expect(edit.part).toEqual(jasmine.objectContaining({ name: 'wedge', material: 'petg' }));
    expect(s.workspace.now.work.rig.bodies.find((b) => b.id === edit.body)!.parts.some((p) => p.mount)).toBeTrue();
    expect(added).toEqual([edit.part.id]);
  });
  it('an open mesh and a file that is none are told with the reason, and nothing is added', async () => {
    for (const [name, text] of [
      ['open.stl', stl(3)],
      ['note.3mf', 'a letter'],
    ] as const) {
      const s = await shown();
      s.give(name, text);
      const line = await s.told();
      expect(line.getAttribute('role')).toBe('alert');
      expect(line.textContent).toContain('Nothing was added.');
      expect(s.workspace.edited).toEqual([]);
      expect([...s.page.querySelectorAll('button')].some((b) => b.disabled)).toBeFalse();
    }
  });
});
