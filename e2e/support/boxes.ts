/** Where words lie on the page: outside it, cut off, or on one another. Measured in the page itself. */
import type { Page } from '@playwright/test';

/** Each fault as words; empty where all can be read. What a hand can scroll to counts as on the page. */
export const wordsAstray = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const SLACK = 2; // px: round letters and shadows
    const found: string[] = [];
    const scrolls = (e: Element): boolean => {
      for (let at: Element | null = e; at && at !== document.body; at = at.parentElement) {
        const { overflowX } = getComputedStyle(at);
        if (/auto|scroll/.test(overflowX) && at.scrollWidth > at.clientWidth && at.id !== 'stage') return true;
      }
      return false;
    };
    const hidden = (e: Element): boolean =>
      !e.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true }) ||
      e.closest('.visually-hidden, .skip, [inert], mat-snack-bar-container') !== null;
    const short = (text: string): string => text.replace(/\s+/g, ' ').trim().slice(0, 50);
    const texts: { readonly e: Element; readonly text: string; readonly boxes: readonly DOMRect[] }[] = [];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walk.nextNode(); node; node = walk.nextNode()) {
      const e = node.parentElement!;
      if (!node.textContent!.trim() || /^(SCRIPT|STYLE|OPTION|TITLE)$/i.test(e.tagName) || hidden(e)) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      const boxes = [...range.getClientRects()].filter((b) => b.width > 1 && b.height > 1);
      if (boxes.length > 0) texts.push({ e, text: short(node.textContent!), boxes });
    }
    // As much of each as its scrolled places leave to be seen.
    const seen = (e: Element, b: DOMRect): DOMRect => {
      let { left, top, right, bottom } = b;
      for (let at: Element | null = e; at && at !== document.body; at = at.parentElement) {
        const { overflowX, overflowY } = getComputedStyle(at);
        if (overflowX === 'visible' && overflowY === 'visible') continue;
        const box = at.getBoundingClientRect();
        [left, right] = [Math.max(left, box.left), Math.min(right, box.right)];
        [top, bottom] = [Math.max(top, box.top), Math.min(bottom, box.bottom)];
      }
      return new DOMRect(left, top, Math.max(0, right - left), Math.max(0, bottom - top));
    };
    for (const { e, text, boxes } of texts) {
      if (scrolls(e)) continue;
      if (boxes.map((b) => seen(e, b)).some((b) => b.right > innerWidth + SLACK || b.left < -SLACK))
        found.push(`outside: “${text}”`);
      // Cut by the nearest box that hides what does not fit; three dots with the whole as a title are a choice.
      for (let at: Element | null = e; at && at !== document.body; at = at.parentElement) {
        const style = getComputedStyle(at);
        if (!/hidden|clip/.test(style.overflowX)) continue;
        const box = at.getBoundingClientRect();
        const isTold = at.closest('[title]') !== null || e.closest('[title]') !== null;
        if (!isTold && boxes.some((b) => b.right > box.right + SLACK || b.left < box.left - SLACK))
          found.push(`cut off: “${text}” in <${at.tagName.toLowerCase()} class="${at.getAttribute('class') ?? ''}">`);
        break;
      }
    }
    // A field shows what is typed in it whole, as far as it is a figure.
    for (const field of document.querySelectorAll<HTMLInputElement>('tp-quantity-field input'))
      if (!hidden(field) && field.scrollWidth > field.clientWidth + SLACK)
        found.push(`cut off: “${field.value}” in the field ${field.getAttribute('aria-label') ?? field.id}`);
    // Words on words: only where both are painted on the same sheet.
    // What stays in place while the rest moves under it lies on a sheet of its own.
    const sheetOf = (e: Element): Element => {
      let at = e;
      while (at.parentElement && at.tagName !== 'svg' && !/sticky|fixed/.test(getComputedStyle(at).position))
        at = at.parentElement;
      return at;
    };
    const flat = texts
      .flatMap(({ e, text, boxes }) => boxes.map((b) => ({ e, text, b: seen(e, b) })))
      .filter(({ b }) => b.width > 1 && b.height > 1)
      .sort((a, b) => a.b.top - b.b.top);
    flat.forEach((one, i) => {
      for (let j = i + 1; j < flat.length && flat[j]!.b.top < one.b.bottom - SLACK; j++) {
        const other = flat[j]!;
        if (one.e === other.e || one.e.contains(other.e) || other.e.contains(one.e)) continue;
        if (sheetOf(one.e) !== sheetOf(other.e)) continue;
        const wide = Math.min(one.b.right, other.b.right) - Math.max(one.b.left, other.b.left);
        const high = Math.min(one.b.bottom, other.b.bottom) - Math.max(one.b.top, other.b.top);
        // Lines stand closer than their boxes say: a third of a line is still room.
        if (wide > SLACK && high > Math.min(one.b.height, other.b.height) / 3 && one.text !== other.text)
          found.push(`on one another: “${one.text}” and “${other.text}”`);
      }
    });
    return [...new Set(found)];
  });
