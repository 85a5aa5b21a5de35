/** How much a file from outside may unpack to: enough for forty thousand documents, too little to fill a machine. */
export const LIMITS = {
  /** Files in a zip. */
  entries: 5000,
  /** Bytes of JSON. */
  json: 32 * 1024 * 1024,
  /** Bytes of a single picture, and of all files together. */
  photo: 4 * 1024 * 1024,
  unpacked: 128 * 1024 * 1024,
} as const;
