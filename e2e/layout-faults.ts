import type { Page } from '@playwright/test';

/** Elements that scroll sideways though nobody meant them to, and text smaller than 14 px. */
export function layoutFaults(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const faults: string[] = [];
    for (const element of document.querySelectorAll<HTMLElement>('main, main section, main form')) {
      if (
        element.scrollWidth > element.clientWidth + 1 &&
        getComputedStyle(element).overflowX !== 'visible'
      ) {
        faults.push(
          `${element.tagName} ${element.getAttribute('aria-label') ?? ''} is ${element.scrollWidth} wide`,
        );
      }
    }
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node !== null; node = walker.nextNode()) {
      const parent = node.parentElement;
      if (
        parent === null ||
        node.textContent?.trim() === '' ||
        parent.closest('legend, noscript, script, style')
      )
        continue;
      // Sizes in a drawing in millimetres are a few units that the screen makes larger, others shrink to their column.
      const matrix = parent instanceof SVGGraphicsElement ? parent.getScreenCTM() : null;
      const scale = matrix === null ? 1 : Math.hypot(matrix.a, matrix.b);
      const size = Number.parseFloat(getComputedStyle(parent).fontSize) * scale;
      const shrunk = parent.closest('label.MuiInputLabel-shrink') === null ? 1 : 0.875;
      if (size * shrunk < 13.99 && parent.getClientRects().length > 0) {
        faults.push(`"${node.textContent?.trim().slice(0, 30)}" is ${size * shrunk} px`);
      }
    }
    return faults;
  });
}
