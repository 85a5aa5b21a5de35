/** All kinds of connection, and each question asked of whichever it is. */
import type { StatedConnection } from '../../../model';
import type { KindOfConnection, Resolved, Surroundings } from '../kind';
import { bolted } from './bolted';
import { bonded } from './bonded';
import { clamped } from './clamped';
import { hinged } from './hinged';
import { laid } from './laid';
import { screwedIn } from './screwedIn';
import { seated } from './seated';
import { slidOn } from './slidOn';

type Kinds = { readonly [K in StatedConnection['kind']]: KindOfConnection<K> };
const KINDS: Kinds = { bolted, bonded, clamped, hinged, laid, screwedIn, seated, slidOn };
/** Each connection is asked by the entry of its own kind. */
const kindOf = (of: StatedConnection): KindOfConnection<StatedConnection['kind']> =>
  KINDS[of.kind] as KindOfConnection<StatedConnection['kind']>;

export const datumOf = (of: StatedConnection): string => kindOf(of).datum(of);
export const piecesHeld = (of: StatedConnection): readonly string[] => kindOf(of).holds(of);
export const without = (of: StatedConnection, gone: ReadonlySet<string>): StatedConnection | null =>
  gone.has(of.id) ? null : kindOf(of).without(of, gone);
export const resolve = (of: StatedConnection, around: Surroundings): Resolved => kindOf(of).resolve(of, around);
