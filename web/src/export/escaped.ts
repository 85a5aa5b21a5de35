const ENTITIES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
/** Words that are no markup. */
export const escaped = (text: string): string => text.replace(/[&<>"]/g, (c) => ENTITIES[c]!);
