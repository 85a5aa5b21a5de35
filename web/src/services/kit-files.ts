/** Kit and loadouts out to files. Coming in goes through the bring-in dialog, which shows all of it first. */
import { inject, Injectable } from '@angular/core';
import { kitFileOf, kitRow, loadoutRows } from '@tide-pebble/core/tables';
import { LoadBench } from './load-bench';
import { saveCsv } from './save-csv';
import { saveFile } from './save-file';

@Injectable({ providedIn: 'root' })
export class KitFiles {
  private readonly load = inject(LoadBench);

  async takeOut(form: 'kit' | 'loadouts' | 'json'): Promise<void> {
    const kit = this.load.kitList();
    const loadouts = this.load.loadouts();
    if (form === 'json')
      saveFile('kit and loadouts.json', JSON.stringify(kitFileOf(kit, loadouts), null, 1), 'application/json');
    else if (form === 'kit') await saveCsv('kit.csv', kit.map(kitRow));
    else
      await saveCsv(
        'loadouts.csv',
        loadouts.flatMap((l) => loadoutRows(l, this.load.kit())),
      );
  }
}
