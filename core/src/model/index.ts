/** The model: Zod schemas and the types made from them. Stages import its types; it imports nothing but Zod. */
export {
  CLEARANCE_KINDS, KIT_CLASSES, MOUNT_KINDS, kitItem, loadout,
  type Clearance, type ItemState, type KitClass, type KitItem, type Loadout, type Measurement, type Mounted, type MountKind, type MountPoint, type Reading, type StateChange, type StateChoice,
} from './load';
export { FITTINGS, HOLDS, rig, type Adjuster, type BendSegment, type Body, type Contact, type Fitting, type Hold, type Hole, type Hub, type Joint, type Member, type Node, type Part, type PartHole, type Pivot, type Pose, type Rig, type Section, type Station, type Stock, type Supply, type Washer } from './rig';
export { design, edit, hands, rigDocument, setup, wants, type Design, type Edit, type Hands, type RigDocument, type SetUp, type Wants } from './design';
export { binItem, logEntry, type BinItem, type LogEntry } from './records';
export { type Quantity } from './quantity';
export { type Shape } from './shape';
