/** What runs within a field pack, with no server and nothing else at hand: it goes into the file as it stands here, so it may name nothing outside itself. */

/** What the page finds in the file. `entries` made from a card's template carry what was foretold when the pack was made. */
export function packPage(): void {
  interface Entry {
    readonly id: string;
    readonly when: string;
    readonly notes: string;
    readonly wrong?: string;
    readonly toTry?: string;
    readonly seen: {
      readonly dropTimes: readonly number[];
      readonly noseDown?: number;
      readonly leftSideDown?: number;
    };
  }
  const data = JSON.parse(document.getElementById('data')!.textContent) as {
    readonly pack: string;
    readonly format: string;
    readonly templates: readonly object[];
  };
  const entriesKey = `tide-pebble.pack.${data.pack}.entries`;
  const ticksKey = `tide-pebble.pack.${data.pack}.ticks`;
  const kept = <T>(key: string, none: T): T => {
    try {
      return (JSON.parse(localStorage.getItem(key) ?? 'null') as T | null) ?? none;
    } catch {
      return none;
    }
  };
  const status = document.getElementById('status')!;
  const keep = (key: string, value: unknown): boolean => {
    try {
      localStorage.setItem(key, JSON.stringify(value));
      return true;
    } catch {
      status.textContent = 'This browser keeps nothing for files: give the readings back before you close the page.';
      return false;
    }
  };
  let entries = kept<readonly Entry[]>(entriesKey, []);
  const ticks = new Set(kept<readonly string[]>(ticksKey, []));

  for (const box of document.querySelectorAll<HTMLInputElement>('input[data-tick]')) {
    box.checked = ticks.has(box.dataset['tick']!);
    box.addEventListener('change', () => {
      if (box.checked) ticks.add(box.dataset['tick']!);
      else ticks.delete(box.dataset['tick']!);
      keep(ticksKey, [...ticks]);
    });
  }
  document.getElementById('untick')!.addEventListener('click', () => {
    ticks.clear();
    for (const box of document.querySelectorAll<HTMLInputElement>('input[data-tick]')) box.checked = false;
    keep(ticksKey, []);
  });

  for (const form of document.querySelectorAll<HTMLFormElement>('form[data-card]')) {
    const field = (name: string): HTMLInputElement => form.elements.namedItem(name) as HTMLInputElement;
    const watch = form.querySelector<HTMLButtonElement>('button.watch')!;
    const drops: number[] = [];
    let started: number | null = null;
    const shown = (): void => {
      form.querySelector('output')!.textContent = drops.map((d) => `${d.toFixed(2)} s`).join(', ');
    };
    watch.addEventListener('click', () => {
      if (started === null) {
        started = performance.now();
        watch.textContent = 'Upright';
        return;
      }
      const time = Math.round((performance.now() - started) / 10) / 100;
      started = null;
      watch.textContent = 'Let go';
      if (time >= 0.1 && time <= 60 && drops.length < 20) drops.push(time);
      shown();
    });
    const degrees = (name: string): number | undefined => {
      const text = field(name).value.trim().replace(',', '.');
      return text === '' || !Number.isFinite(Number(text)) ? undefined : (Number(text) * Math.PI) / 180;
    };
    form.addEventListener('submit', (event) => {
      event.preventDefault();
      const [nose, sides] = [degrees('nose'), degrees('sides')];
      const told = {
        notes: field('notes').value,
        wrong: field('wrong').value.trim(),
        toTry: field('toTry').value.trim(),
      };
      if (
        drops.length === 0 &&
        nose === undefined &&
        sides === undefined &&
        !told.notes.trim() &&
        !told.wrong &&
        !told.toTry
      ) {
        status.textContent = 'Time a drop or write something first.';
        return;
      }
      // No spread of things: the build would call a helper of its own for it.
      const seen: Record<string, unknown> = { dropTimes: [...drops] };
      if (nose !== undefined) seen['noseDown'] = nose;
      if (sides !== undefined) seen['leftSideDown'] = sides;
      const words: Record<string, string> = { notes: told.notes };
      if (told.wrong) words['wrong'] = told.wrong;
      if (told.toTry) words['toTry'] = told.toTry;
      const entry = Object.assign({}, data.templates[Number(form.dataset['card'])], words, {
        id: `field-${crypto.randomUUID()}`,
        when: new Date().toISOString(),
        seen,
      }) as unknown as Entry;
      entries = [...entries, entry];
      if (keep(entriesKey, entries)) status.textContent = 'Kept in this phone.';
      drops.length = 0;
      shown();
      form.reset();
      list();
    });
  }

  function list(): void {
    const home = document.getElementById('entries')!;
    home.replaceChildren(
      ...entries.map((entry) => {
        const line = document.createElement('li');
        const words = [entry.notes, entry.wrong, entry.toTry].filter(Boolean).join(' · ');
        const seen = entry.seen.dropTimes.map((d) => `${d.toFixed(2)} s`).join(', ');
        line.textContent = `${new Date(entry.when).toLocaleString()}: ${[seen, words].filter(Boolean).join('; ')} `;
        const drop = document.createElement('button');
        drop.type = 'button';
        drop.textContent = 'Delete';
        drop.addEventListener('click', () => {
          entries = entries.filter((e) => e.id !== entry.id);
          keep(entriesKey, entries);
          list();
        });
        line.append(drop);
        return line;
      }),
    );
    document.getElementById('count')!.textContent =
      entries.length === 1 ? '1 reading kept here' : `${entries.length} readings kept here`;
    (document.getElementById('give') as HTMLButtonElement).disabled = entries.length === 0;
  }
  document.getElementById('give')!.addEventListener('click', () => {
    const file = new Blob([JSON.stringify({ format: data.format, version: 1, entries }, null, 1)], {
      type: 'application/json',
    });
    const link = document.createElement('a');
    link.href = URL.createObjectURL(file);
    link.download = 'field-log.json';
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
    status.textContent = 'Given back as a file. They stay here too: bringing them in twice keeps them once.';
  });
  list();
}
