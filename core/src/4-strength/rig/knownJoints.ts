/** What is known of a rig's own joints, beyond what its kind tells: by flicks. */

/** Of a joint: so many times as stiff as its kind is, known within so many times either way (two deviations). */
export interface JointHeard {
  readonly factor: number;
  readonly within: number;
}
/** By join. */
export type JointsHeard = ReadonlyMap<string, JointHeard>;
export const NOTHING_HEARD: JointsHeard = new Map();
