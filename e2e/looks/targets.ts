import type { Page } from '@playwright/test';

/**
 * What a finger meets: for each control in sight of the panel or page, whether a square of 44 px about its middle is its own
 * (WCAG 2.5.5), found by asking what lies at the square's edges. Words within a sentence are left out, as the rule leaves them.
 */
export async function tooSmall(page: Page): Promise<string[]> {
  return page.evaluate(async () => {
    const half = 21;
    const controls = 'a[href], button, input, textarea, [role="slider"], [role="radio"], [role="option"]';
    const isSeen = (element: Element) =>
      element.checkVisibility({ visibilityProperty: true, opacityProperty: false }) &&
      element.getBoundingClientRect().width > 2 &&
      !element.closest('[data-unseen], [aria-hidden="true"]');
    const panel = [...document.querySelectorAll('[role="dialog"]')].filter(isSeen).at(-1) ?? document.body;
    const inSentence = (element: Element) => {
      if (!element.matches('a[href]:not([data-alone])')) return false;
      const text = element.parentElement?.textContent?.trim() ?? '';
      return text.length > (element.textContent?.trim().length ?? 0) + 2;
    };
    const found: string[] = [];
    for (const element of panel.querySelectorAll(controls)) {
      if (!isSeen(element) || element.matches(':disabled') || inSentence(element)) continue;
      // Smaller than this, and a phone zooms in when it is touched.
      if (
        element.matches('input:not([type="radio"], [type="checkbox"]), textarea') &&
        Number.parseFloat(getComputedStyle(element).fontSize) < 16
      )
        found.push(
          `text under 16 px: ${element.tagName.toLowerCase()} “${(element as HTMLInputElement).value}”`,
        );
      element.scrollIntoView({ block: 'center', behavior: 'instant' });
      const { left, right, top, bottom } = element.getBoundingClientRect();
      const [x, y] = [(left + right) / 2, (top + bottom) / 2];
      const label = element.id && document.querySelector(`label[for="${CSS.escape(element.id)}"]`);
      const isOwn = (at: Element | null) =>
        at !== null &&
        (element.contains(at) || at.contains(element) || (label && (label === at || label.contains(at))));
      const edges = [
        [x, y - half],
        [x, y + half],
        [x - half, y],
        [x + half, y],
      ].filter(([ax = 0, ay = 0]) => ax > 0 && ay > 0 && ax < innerWidth && ay < innerHeight);
      const misses = edges.filter(([ax = 0, ay = 0]) => {
        const at = document.elementFromPoint(ax, ay);
        // A wrapper's own ground is nobody else's: what counts is that no other control takes the touch.
        const other = at?.closest(controls);
        return !isOwn(at) && (other ? other !== element : false);
      });
      const isLow = bottom - top < 44 - 0.5 && !label;
      const reach = getComputedStyle(element, '::after');
      const hasReach = reach.content !== 'none' && reach.position === 'absolute';
      if (misses.length > 0 || (isLow && !hasReach)) {
        const name = element.getAttribute('aria-label') ?? element.textContent ?? '';
        found.push(
          `${element.tagName.toLowerCase()} “${name.trim().slice(0, 40)}” ${Math.round(right - left)}×${Math.round(bottom - top)}${misses.length > 0 ? ', another control within 44 px' : ''}`,
        );
      }
    }
    return found;
  });
}
