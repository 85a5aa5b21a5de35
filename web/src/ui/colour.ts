/** A colour token as a canvas wants it: worked out by the browser, by day or at dusk as the page is. */
let probe: HTMLElement | null = null;

export function colourOf(token: string): string {
  if (!probe) {
    probe = document.createElement('span');
    probe.hidden = true;
  }
  // Where it stands in the page the page's light counts.
  if (!probe.isConnected) document.body.append(probe);
  probe.style.color = `var(${token})`;
  return getComputedStyle(probe).color;
}
