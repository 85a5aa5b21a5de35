/** Depth of a camera's thread where none is measured, m. */
export const USUAL_SOCKET = 0.006;
