/** In a pan this fast (rad/s) the lean is least for that aim: a usual pan, 45° a second. */
export const USUAL_PAN = Math.PI / 4;
