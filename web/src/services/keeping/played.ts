/**
 * The whole of keeping, played: two windows, the browser's drafts, a server with two folders, and chance that loses requests
 * and answers, closes windows, restarts the server, serves another folder. For the specs and the long run alike.
 */
import { evenDraws, type BinItem, type ChangeRequest, type Problem, type StoredList } from '@tide-pebble/core';
import {
  acknowledged,
  adopted,
  conflicted,
  edited,
  isFree,
  keyOf,
  NO_PAGE,
  settled,
  taken,
  toSend,
  unheard,
  type Draft,
  type DropDraft,
  type Page,
  type Step,
} from './page';

type Saved = ReturnType<Folder['save']>;
interface Kept extends Draft {
  readonly tab: number;
}
interface Window {
  readonly tab: number;
  page: Page;
  /** On its way to the server, or with its answer on the way back. */
  talk: { readonly sent: readonly ChangeRequest[]; answer: Saved | null } | null;
  elsewhere: boolean;
  readonly dropLater: { readonly folder: string; readonly drop: readonly DropDraft[] }[];
}

/** Every figure typed is another, so it can be followed. */
const body = (id: string, count: number): BinItem => ({ id, name: id, count, lengths: [] });
const countOf = (of: unknown): number => (of as BinItem | null)?.count ?? 0;

class Folder {
  readonly rows = new Map<string, { revision: number; body: unknown }>();
  readonly everSaved = new Set<number>();
  constructor(readonly mark: string) {}

  list(): StoredList {
    return {
      folder: this.mark,
      documents: [...this.rows].map(([id, r]) => ({
        kind: 'bin',
        id,
        revision: r.revision,
        body: r.body,
        savedAt: '',
      })),
      damaged: [],
    };
  }

  /** As the real store: word for word the same is no conflict; all or nothing. */
  save(
    changes: readonly ChangeRequest[],
    replaced: (before: number, after: number) => void,
  ):
    | { readonly saved: { kind: 'bin'; id: string; revision: number }[] }
    | { readonly conflicts: NonNullable<Problem['conflicts']> } {
    const conflicts = changes.filter((c) => {
      const row = this.rows.get(c.id);
      return JSON.stringify(row?.body) !== JSON.stringify(c.body) && (row?.revision ?? 0) !== c.revision;
    });
    if (conflicts.length > 0)
      return {
        conflicts: conflicts.map((mine) => ({
          mine,
          theirs: this.list().documents.find((d) => d.id === mine.id) ?? null,
        })),
      };
    return {
      saved: changes.map(({ id, body: now }) => {
        const row = this.rows.get(id);
        const revision = JSON.stringify(row?.body) === JSON.stringify(now) ? row!.revision : (row?.revision ?? 0) + 1;
        if (row && revision !== row.revision) replaced(countOf(row.body), countOf(now));
        this.rows.set(id, { revision, body: now });
        this.everSaved.add(countOf(now));
        return { kind: 'bin', id, revision };
      }),
    };
  }
}

/** What went wrong in one run, in words; empty where nothing did. */
export function playKeeping(seed: number, events = 60): readonly string[] {
  const draw = evenDraws(seed);
  const of = <T>(list: readonly T[]): T => list[Math.floor(draw() * list.length)]!;
  const wrong: string[] = [];
  const folders = [new Folder('one'), new Folder('two')];
  let served = folders[0]!;
  let up = true;
  let drafts: Kept[] = [];
  let tabs = 0;
  let typed = 0;
  /** What each typed figure was typed over, and what its maker chose to let it replace. */
  const over = new Map<number, number[]>();
  const inFolder = new Map<number, string>();
  const givenUp = new Set<number>();

  const cameOf = (from: number, what: number, seen = new Set<number>()): boolean =>
    from === what || (over.get(from) ?? []).some((n) => !seen.has(n) && (seen.add(n), cameOf(n, what, seen)));
  const replaced = (before: number, after: number): void => {
    if (!cameOf(after, before)) wrong.push(`${after} silently replaced ${before}`);
  };
  const step = (w: Window, { page, put, drop }: Step): void => {
    for (const d of put)
      drafts = [
        ...drafts.filter((k) => k.tab !== w.tab || k.folder !== d.folder || keyOf(k) !== keyOf(d)),
        { ...d, tab: w.tab },
      ];
    if (drop.length > 0) w.dropLater.push({ folder: page.folder, drop });
    w.page = page;
  };
  /** The browser's store takes its time: an edit may come between an answer and the letting go of its draft. */
  const dropNow = (w: Window): void => {
    for (const { folder, drop } of w.dropLater.splice(0)) {
      drafts = drafts.filter(
        (k) =>
          !(k.tab === w.tab && k.folder === folder && drop.some((d) => d.key === keyOf(k) && k.serial <= d.serial)),
      );
    }
  };
  const adopt = (w: Window): void => {
    const alive = new Set(windows.map((o) => o.tab));
    const taking = new Map<string, Kept>();
    for (const d of drafts)
      if (
        d.folder === w.page.folder &&
        d.tab !== w.tab &&
        !alive.has(d.tab) &&
        !taking.has(keyOf(d)) &&
        isFree(w.page, d)
      )
        taking.set(keyOf(d), d);
    drafts = drafts.filter((d) => ![...taking.values()].includes(d));
    step(w, adopted(w.page, [...taking.values()]));
  };
  const open = (): Window => {
    const w: Window = { tab: ++tabs, page: NO_PAGE, talk: null, elsewhere: false, dropLater: [] };
    w.page = taken(w.page, served.list());
    windows.push(w);
    adopt(w);
    return w;
  };
  const windows: Window[] = [];
  const type = (w: Window): void => {
    if (w.page.conflicts.size > 0) return;
    const id = of(['a', 'b']);
    typed++;
    over.set(typed, [countOf(w.page.held.get(`bin/${id}`)?.body)]);
    inFolder.set(typed, w.page.folder);
    step(w, edited(w.page, [{ kind: 'bin', id, body: body(id, typed) }]));
  };
  const send = (w: Window): void => {
    if (w.talk || w.elsewhere) return;
    w.talk = { sent: toSend(w.page), answer: null };
  };
  const arrive = (w: Window): void => {
    if (!w.talk || w.talk.answer || !up) return;
    if (w.page.folder !== served.mark) {
      w.elsewhere = true;
      w.talk = null;
    } else if (w.talk.sent.length === 0) {
      w.page = taken(w.page, served.list());
      w.talk = null;
      adopt(w);
    } else w.talk.answer = served.save(w.talk.sent, replaced);
  };
  const hear = (w: Window): void => {
    if (!w.talk?.answer) return;
    const { sent, answer } = w.talk;
    w.talk = null;
    step(w, 'saved' in answer ? acknowledged(w.page, sent, answer.saved) : conflicted(w.page, answer.conflicts));
    if (w.page.dirty.size === 0) adopt(w);
  };
  const lose = (w: Window): void => {
    if (!w.talk) return;
    w.page = unheard(w.page, w.talk.sent);
    w.talk = null;
  };
  const settle = (w: Window): void => {
    const keep = of(['mine', 'theirs'] as const);
    for (const [key, theirs] of w.page.conflicts) {
      const mine = countOf(w.page.held.get(key)!.body);
      if (keep === 'theirs') givenUp.add(mine);
      else over.get(mine)?.push(countOf(theirs?.body));
    }
    step(w, settled(w.page, keep, [...w.page.conflicts.keys()]));
  };
  const close = (w: Window): void => {
    windows.splice(windows.indexOf(w), 1);
    if (windows.length === 0) open();
  };
  const restart = (): void => {
    for (const w of windows) if (draw() < 0.5) lose(w);
    up = !up;
  };

  open();
  for (let n = 0; n < events; n++) {
    const w = of(windows);
    const dice = draw();
    if (dice < 0.3) type(w);
    else if (dice < 0.5) send(w);
    else if (dice < 0.65) arrive(w);
    else if (dice < 0.78) hear(w);
    else if (dice < 0.84) lose(w);
    else if (dice < 0.87) settle(w);
    else if (dice < 0.9) dropNow(w);
    else if (dice < 0.93 && windows.length < 2 && up) open();
    else if (dice < 0.96 && up) close(w);
    else if (dice < 0.985) restart();
    else served = of(folders);
  }

  // All is calm: whoever is open talks till nothing is owed; one last window takes up what is left, of each folder in turn.
  up = true;
  for (const folder of folders) {
    served = folder;
    for (const w of [...windows]) if (w.page.folder !== folder.mark) close(w);
    for (let n = 0; n < 200; n++)
      for (const w of [...windows]) [send, arrive, hear, settle, dropNow].forEach((act) => act(w));
    while (windows.length > 0) windows.pop();
    const last = open();
    for (let n = 0; n < 200; n++) [send, arrive, hear, settle, dropNow].forEach((act) => act(last));
    if (last.page.dirty.size > 0) wrong.push(`${last.page.dirty.size} still owed in ${folder.mark}`);
    const shown = [...last.page.held.values()].map((h) => `${h.id} ${h.revision} ${countOf(h.body)}`).sort();
    const stored = folder
      .list()
      .documents.map((d) => `${d.id} ${d.revision} ${countOf(d.body)}`)
      .sort();
    if (shown.join() !== stored.join()) wrong.push(`“All kept” beside ${shown.join()}, stored ${stored.join()}`);
  }
  if (drafts.length > 0) wrong.push(`drafts left over: ${drafts.map((d) => countOf(d.body)).join()}`);
  for (let n = 1; n <= typed; n++) {
    const folder = folders.find((f) => f.mark === inFolder.get(n))!;
    const accounted = (m: number): boolean => folder.everSaved.has(m) || givenUp.has(m);
    // Typed over before it was sent: what stands over it is accounted for instead.
    const typedOver = (m: number): boolean =>
      [...over].some(([later, before]) => later !== m && before.includes(m) && (accounted(later) || typedOver(later)));
    if (!accounted(n) && !typedOver(n)) wrong.push(`${n} is lost`);
    for (const other of folders)
      if (other !== folder && other.everSaved.has(n)) wrong.push(`${n} was saved in another folder`);
  }
  return wrong;
}
