import type { Page } from '@playwright/test';

/** Text cut by its own box, fields that lie on each other, and what is wider than the screen. */
export async function layoutFlaws(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const isSeen = (element: Element) => {
      const { width, height, top } = element.getBoundingClientRect();
      const clipping = element.parentElement?.closest('.Timeline_shot, .LightBand_band i');
      const isBelow = clipping && top >= clipping.getBoundingClientRect().bottom - 3;
      return width > 2 && height > 2 && !isBelow && element.checkVisibility({ visibilityProperty: true });
    };
    const nameOf = (element: Element) => {
      const label =
        element.getAttribute('aria-label') ?? (element as HTMLInputElement).labels?.[0]?.innerText;
      return `${element.tagName.toLowerCase()} “${(label ?? element.textContent ?? '').trim().slice(0, 40)}”`;
    };
    const panel = [...document.querySelectorAll('[role="dialog"]')].filter(isSeen).at(-1) ?? document.body;
    const all = [...panel.querySelectorAll('*')].filter(isSeen);
    const found: string[] = [];
    if (document.documentElement.scrollWidth > innerWidth) found.push('the page is wider than the screen');

    const clipped = all.filter((element) => {
      const style = getComputedStyle(element);
      const isClipping = style.overflowX !== 'visible' || element.tagName === 'INPUT';
      const mayScroll = style.overflowX === 'auto' || style.overflowX === 'scroll';
      return (
        isClipping && !mayScroll && element.clientWidth > 2 && element.scrollWidth > element.clientWidth + 1
      );
    });
    found.push(...clipped.map((element) => `cut: ${nameOf(element)}`));

    const controls = all.filter((element) =>
      element.matches('input:not([type=range]):not([type=radio]), select, textarea, button, a'),
    );
    for (const [i, one] of controls.entries()) {
      const a = one.getBoundingClientRect();
      for (const other of controls.slice(i + 1)) {
        if (one.contains(other) || other.contains(one)) continue;
        // The button of a field stands in it; the bar in reach of the thumb lies over what is scrolled.
        if (one.closest('.mantine-Input-wrapper')?.contains(other)) continue;
        if (one.closest('.Desk_handles') || other.closest('.Desk_handles')) continue;
        const b = other.getBoundingClientRect();
        const across = Math.min(a.right, b.right) - Math.max(a.left, b.left);
        const down = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
        const [x, y] = [Math.max(a.left, b.left) + across / 2, Math.max(a.top, b.top) + down / 2];
        const isOnScreen = x > 0 && y > 0 && x < innerWidth && y < innerHeight;
        const there = document.elementsFromPoint(x, y);
        // Scrolled away under its panel's head, it is not there to be touched.
        if (isOnScreen && !(there.includes(one) && there.includes(other))) continue;
        if (across > 2 && down > 2) found.push(`on each other: ${nameOf(one)} and ${nameOf(other)}`);
      }
      if (one.tagName === 'SELECT') {
        const probe = document.createElement('span');
        probe.style.font = getComputedStyle(one).font;
        probe.style.whiteSpace = 'nowrap';
        probe.style.position = 'absolute';
        probe.textContent = (one as HTMLSelectElement).selectedOptions[0]?.text ?? '';
        document.body.append(probe);
        if (probe.offsetWidth + 16 > (one as HTMLElement).clientWidth) found.push(`cut: ${nameOf(one)}`);
        probe.remove();
      }
    }
    return found;
  });
}
