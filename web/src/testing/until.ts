const LOOK_EVERY_MS = 10;
const AT_MOST_MS = 15_000;

/** What `find` finds, once it is there: for work the page does not count as its own (files, databases, drawn frames), which takes as long as the machine lets it. */
export async function until<T>(find: () => T | null | undefined | false, what: string): Promise<T> {
  for (const start = performance.now(); performance.now() - start < AT_MOST_MS;) {
    const found = find();
    if (found !== null && found !== undefined && found !== false) return found;
    await new Promise((done) => setTimeout(done, LOOK_EVERY_MS));
  }
  throw new Error(`waited in vain for ${what}`);
}
