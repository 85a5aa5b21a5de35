/** Where a mass centre was found along one line, with its standard uncertainty (m); or why the readings cannot be. */
export type MeasuredPlace =
  { readonly ok: true; readonly at: number; readonly spread: number } | { readonly ok: false; readonly reason: string };
