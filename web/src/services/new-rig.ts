/** A new rig on the shelf: of a family, sized and set up for a loadout and the maker's hands. */
import { inject, Injectable } from '@angular/core';
import { type Family, type Hands, type KitItem, type Loadout, type RigDocument } from '@tide-pebble/core';
import { startRig, type Start } from '@tide-pebble/core/bench';
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

  start(
    family: Family,
    of: {
      name: string;
      loadout: Loadout | null;
      kit: ReadonlyMap<string, KitItem>;
      hands: Hands;
      wants?: RigDocument['wants'];
      /** Worked out already. */
      ready?: Pick<Start, 'design' | 'values'>;
      /** Kept together with it: kit, loadout, bin. */
      with?: Parameters<Documents['commit']>[1];
    },
  ): RigDocument {
    const wants = of.wants ?? USUAL_WANTS;
    const { design, values } = of.ready ?? startRig(family, of.loadout, of.kit, wants, of.hands);
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
