/** A new rig on the shelf, as it was made ready for a loadout and the maker's hands. */
import { inject, Injectable } from '@angular/core';
import type { Hands, Loadout, RigDocument } from '@tide-pebble/core';
import type { Start } from '@tide-pebble/core/bench';
import { FreeNames } from './free-names';
import { Documents } from './keeping/documents';

export const USUAL_WANTS: RigDocument['wants'] = {
  levelWithin: Math.PI / 180,
  dropTime: [1.8, 2.4],
  massAtMost: 2.5,
  calmAtLeast: 6,
  shopPrice: 0,
};
/** A hacksaw's cut. */
const USUAL_KERF = 0.0015;

@Injectable({ providedIn: 'root' })
export class NewRig {
  private readonly documents = inject(Documents);
  private readonly names = inject(FreeNames);

  start(of: {
    name: string;
    loadout: Loadout | null;
    hands: Hands;
    wants?: RigDocument['wants'];
    /** Sized, trimmed and cleared: never started otherwise. */
    ready: Pick<Start, 'design' | 'values'>;
    /** Kept together with it: kit, loadout, bin. */
    with?: Parameters<Documents['commit']>[1];
  }): RigDocument {
    const wants = of.wants ?? USUAL_WANTS;
    const { design, values } = of.ready;
    const id = crypto.randomUUID();
    const rig: RigDocument = {
      id,
      name: of.name.trim() || this.names.free('Rig'),
      notes: '',
      wants,
      hands: of.hands,
      loadout: of.loadout?.id ?? null,
      done: {},
      kerf: USUAL_KERF,
      fastenersCounted: true,
      design,
    };
    const setup = { id: crypto.randomUUID(), rig: id, loadout: of.loadout?.id ?? 'bare', values: { ...values } };
    this.documents.commit(`new rig ${rig.name}`, [
      ...(of.with ?? []),
      { kind: 'rig', id, body: rig },
      { kind: 'setup', id: setup.id, body: setup },
    ]);
    return rig;
  }
}
