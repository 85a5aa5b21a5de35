/** What one contact of a worn rig bears in a pose. */
import type { Vec3 } from '../../../0-base';
import type { Contact } from '../../../model';

export interface Bearing {
  readonly contact: Contact;
  readonly at: Vec3;
  /** All that it pushes with, N, level axes. */
  readonly force: Vec3;
  readonly size: number;
  /** Of what is comfortable for a while. */
  readonly share: number;
}
