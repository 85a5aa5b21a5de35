/** What is put between two pieces so that they hold for good: how much of it a joint takes, how much of that stays, and how it is sold. */
import type { Glue } from '../../model';

export interface Filler {
  readonly name: string;
  readonly item: string;
  /** kg a m² of joint, counted once: what goes in the mixing or is rubbed off too, and what stays when it has set. */
  readonly used: number;
  readonly kept: number;
  /** As it is sold, kg, and its price: a stand-in. */
  readonly pack: number;
  readonly price: number;
  readonly source: string;
}

/** Each may be off by this part: one standard uncertainty. A hand spreads as it spreads. */
export const FILLER_SPREAD = 0.4;

/** Glues, and what is soaked in one. */
export type FillerKind = Glue | 'tow';

export const FILLERS: Readonly<Record<FillerKind, Filler>> = {
  epoxy: {
    name: 'epoxy',
    item: 'epoxy, two tubes',
    used: 0.5,
    kept: 0.17,
    pack: 0.024,
    price: 5.5,
    source: 'a layer of 0.15 mm at 1150 kg/m³; as much again twice is left in the cup',
  },
  wood: {
    name: 'wood glue',
    item: 'wood glue, small bottle',
    used: 0.2,
    kept: 0.1,
    pack: 0.225,
    price: 4,
    source: 'makers of white glue ask for 150 to 250 g a m²; half of it is water',
  },
  contact: {
    name: 'contact glue',
    item: 'contact glue, small tin',
    used: 0.25,
    kept: 0.075,
    pack: 0.125,
    price: 5,
    source: 'both faces together 200 to 300 g a m²; under a third of it is solid',
  },
  pvcCement: {
    name: 'PVC cement',
    item: 'PVC cement and primer, small tins',
    used: 0.25,
    kept: 0.05,
    pack: 0.11,
    price: 7,
    source: 'a full coat on pipe and socket; a fifth of it is solid',
  },
  cpvcCement: {
    name: 'CPVC cement',
    item: 'CPVC cement and primer, small tins',
    used: 0.25,
    kept: 0.05,
    pack: 0.11,
    price: 7.5,
    source: 'a full coat on pipe and socket; a fifth of it is solid',
  },
  tow: {
    name: 'carbon tow',
    item: 'carbon tow, a reel of 10 m',
    used: 0.34,
    kept: 0.32,
    pack: 0.008,
    price: 6,
    source: 'two layers of a tow of 0.8 g a metre that lies 5 mm wide; its ends are cut off',
  },
  solder: {
    name: 'solder',
    item: 'lead-free solder and flux, a coil',
    used: 0.95,
    kept: 0.73,
    pack: 0.1,
    price: 11,
    source: 'a gap of 0.1 mm filled at 7300 kg/m³, and what is wiped off',
  },
};
