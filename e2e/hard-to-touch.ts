import type { Page } from '@playwright/test';

/** What is touched and is less than 44 px high or wide, links within a sentence excepted; and what lies under another control's reach. */
export const hardToTouch = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const LEAST = 43.5;
    /** Words stand beside it in the same paragraph, or in the same line of a sum. */
    const withinSentence = (element: Element) =>
      (element.parentElement?.tagName === 'P' || element.matches('.word-link')) &&
      element.parentElement?.textContent?.trim() !== element.textContent?.trim();
    const hit = (element: Element) => {
      const own = element.getBoundingClientRect();
      const cover = getComputedStyle(element, '::after');
      const label = element.closest('label')?.getBoundingClientRect();
      const boxes = [own, ...(element.matches('[type="checkbox"], [type="radio"]') && label ? [label] : [])];
      const covers = cover.content !== 'none' && cover.position === 'absolute';
      return {
        width: Math.max(...boxes.map(({ width }) => width), covers ? Number.parseFloat(cover.width) : 0),
        height: Math.max(...boxes.map(({ height }) => height), covers ? Number.parseFloat(cover.height) : 0),
      };
    };
    /** Whether what holds it has to be scrolled for it to be seen whole. */
    const isScrolledAway = (element: Element) => {
      const { left, top, right, bottom } = element.getBoundingClientRect();
      for (let holder = element.parentElement; holder; holder = holder.parentElement) {
        const { overflowX, overflowY } = getComputedStyle(holder);
        const box = holder.getBoundingClientRect();
        if (/auto|scroll/.test(overflowY) && (top < box.top || bottom > box.bottom)) return true;
        if (/auto|scroll/.test(overflowX) && (left < box.left || right > box.right)) return true;
      }
      return false;
    };
    /** What answers where somebody aims at what they see of a control, in place of it. */
    const answersInstead = (element: Element) => {
      // What stands in the middle of the screen is not under a head or foot that stays there.
      const at = element.getBoundingClientRect();
      const isInTheMiddle = at.top > innerHeight / 4 && at.bottom < (3 * innerHeight) / 4 && at.left >= 0 && at.right <= innerWidth;
      if (!isInTheMiddle || isScrolledAway(element)) element.scrollIntoView({ block: 'center', inline: 'center' });
      const { left, top, right, bottom } = element.getBoundingClientRect();
      const [up, down] = ['padding-top', 'padding-bottom'].map((side) =>
        element.tagName === 'A' ? Number.parseFloat(getComputedStyle(element).getPropertyValue(side)) : 0,
      );
      const seen = [top + (up ?? 0) + 3, (top + bottom) / 2, bottom - (down ?? 0) - 3];
      return seen
        .map((y) => document.elementFromPoint(Math.min((left + right) / 2, left + 14), y))
        .find(
          (found) =>
            found?.closest('a, button, input, select, summary') &&
            !element.contains(found) &&
            !found.contains(element) &&
            found.closest('label') !== element.closest('label'),
        );
    };
    const words = (element: Element) =>
      `${element.tagName} “${element.getAttribute('aria-label') ?? element.textContent?.trim().slice(0, 40) ?? ''}”`;
    return [...document.querySelectorAll('a[href], button, input, select, textarea, summary, [role="tab"], [data-handle]')]
      .filter((element) => element.checkVisibility({ visibilityProperty: true }) && !element.matches(':disabled'))
      .filter((element) => element.getBoundingClientRect().width > 2 && !withinSentence(element))
      .flatMap((element) => {
        const { width, height } = hit(element);
        const small = width < LEAST || height < LEAST ? [`${words(element)} ${Math.round(width)} × ${Math.round(height)}`] : [];
        const other = element.matches('[data-handle]') ? undefined : answersInstead(element);
        return [...small, ...(other ? [`${words(element)} lies under ${words(other)}`] : [])];
      });
  });
