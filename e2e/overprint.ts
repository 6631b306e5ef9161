import type { Page } from '@playwright/test';

/**
 * What is wrong with how the page is laid out at its present width: text that runs out of the box painted around it or off the page, is cut
 * without saying so, or is printed over other text. Texts are taken by their own rectangles, not by those of their elements; what scrolls
 * within a box of its own is looked at as far as it shows. What lies in a layer of its own (a dialog, a bar that stays) is held against its
 * own layer only. Each fault is a line to be read.
 */
export async function overprints(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    type Box = { left: number; right: number; top: number; bottom: number };
    type Text = Box & { words: string; layer: Element; node: Text_ };
    type Text_ = globalThis.Text;
    const faults = new Set<string>();
    const styles = new Map<Element, CSSStyleDeclaration>();
    const style = (element: Element): CSSStyleDeclaration => {
      let found = styles.get(element);
      if (!found) styles.set(element, (found = getComputedStyle(element)));
      return found;
    };
    const boxes = new Map<Element, Box>();
    const boxOf = (element: Element): Box => {
      let found = boxes.get(element);
      if (!found) {
        const { left, right, top, bottom } = element.getBoundingClientRect();
        boxes.set(element, (found = { left, right, top, bottom }));
      }
      return found;
    };
    const name = (element: Element) =>
      `${element.tagName.toLowerCase()}${typeof element.className === 'string' && element.className ? `.${element.className.trim().split(/\s+/).slice(0, 2).join('.')}` : ''}`;
    const painted = (element: Element) => {
      const { backgroundColor, borderLeftWidth, borderRightWidth, display } = style(element);
      if (display.startsWith('inline') && display !== 'inline-block' && display !== 'inline-flex' && display !== 'inline-grid')
        return false;
      const filled = backgroundColor !== 'rgba(0, 0, 0, 0)' && backgroundColor !== 'transparent';
      return filled || (parseFloat(borderLeftWidth) > 0 && parseFloat(borderRightWidth) > 0);
    };

    const root = document.documentElement;
    if (root.scrollWidth > root.clientWidth + 1) {
      // Who makes it so wide, innermost first.
      const wide = [...document.querySelectorAll('body *')].filter(
        (each) => boxOf(each).right > root.clientWidth + 1 && style(each).position !== 'fixed',
      );
      const innermost = wide.find((each) => ![...each.children].some((child) => boxOf(child).right > root.clientWidth + 1));
      faults.add(
        `the page is ${root.scrollWidth} wide${innermost ? ` by ${name(innermost)} “${innermost.textContent?.trim().slice(0, 30)}”` : ''}`,
      );
    }

    const texts: Text[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode() as Text_ | null; node; node = walker.nextNode() as Text_ | null) {
      const words = node.data.trim();
      const parent = node.parentElement;
      if (!words || !parent || ['SCRIPT', 'STYLE', 'NOSCRIPT', 'OPTION', 'TITLE'].includes(parent.tagName)) continue;
      if (parent instanceof HTMLElement && !parent.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
      if (parent.closest('.sr-only, [aria-hidden="true"].ant-select-selection-search-mirror, .skip')) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      for (const rect of range.getClientRects()) {
        if (rect.width < 1 || rect.height < 1) continue;
        const shown: Box = { left: rect.left, right: rect.right, top: rect.top, bottom: rect.bottom };
        const say = (what: string) => faults.add(`“${words.slice(0, 40)}” ${what}`);
        let layer: Element = document.body;
        let scrolls = false;
        let gone = false;
        for (let element: Element | null = parent; element && element !== document.body; element = element.parentElement) {
          const css = style(element);
          const own = boxOf(element);
          // For ears only.
          if (css.clipPath !== 'none' && own.right - own.left <= 1) {
            gone = true;
            break;
          }
          const clips = css.overflowX !== 'visible';
          if (clips) {
            const free = css.overflowX === 'auto' || css.overflowX === 'scroll';
            if (!free && !scrolls && (shown.right > own.right + 1.5 || shown.left < own.left - 1.5) && own.right - own.left > 1) {
              if (css.textOverflow !== 'ellipsis' || !element.closest('[title]')) say(`is cut by ${name(element)}`);
            }
            // Lines that are left off at the end say so with three dots.
            const clamped = css.webkitLineClamp !== 'none' && css.webkitLineClamp !== '';
            if (css.overflowY === 'hidden' && !clamped && !scrolls && shown.bottom - rect.height / 4 > own.bottom)
              say(`is cut off below by ${name(element)}`);
            if (free) scrolls = true;
            shown.left = Math.max(shown.left, own.left);
            shown.right = Math.min(shown.right, own.right);
            shown.top = Math.max(shown.top, own.top);
            shown.bottom = Math.min(shown.bottom, own.bottom);
            if (shown.right - shown.left < 1 || shown.bottom - shown.top < 1) {
              gone = true;
              break;
            }
          } else if (!scrolls && painted(element)) {
            if (shown.right > own.right + 1.5 || shown.left < own.left - 1.5)
              say(`runs ${Math.round(Math.max(shown.right - own.right, own.left - shown.left))} px out of ${name(element)}`);
            // Letters are not as high as their line.
            const slack = rect.height / 5 + 1;
            if (shown.bottom - slack > own.bottom || shown.top + slack < own.top) say(`stands above or below ${name(element)}`);
          }
          if (
            css.position === 'fixed' ||
            css.position === 'sticky' ||
            element.tagName === 'DIALOG' ||
            element.getAttribute('role') === 'dialog'
          ) {
            layer = element;
            if (css.position === 'fixed') break;
          }
        }
        if (gone) continue;
        if (!scrolls && layer === document.body && (shown.left < -1 || shown.right > root.clientWidth + 1)) say('runs off the page');
        texts.push({ ...shown, words, layer, node });
      }
    }
    texts.sort((a, b) => a.top - b.top);
    for (let i = 0; i < texts.length; i++) {
      const a = texts[i]!;
      for (let j = i + 1; j < texts.length && texts[j]!.top < a.bottom; j++) {
        const b = texts[j]!;
        if (a.node === b.node || a.layer !== b.layer) continue;
        const across = Math.min(a.right, b.right) - Math.max(a.left, b.left);
        // Of a line's height the letters take the middle.
        const trim = (box: Box) => (box.bottom - box.top) * 0.24;
        const down = Math.min(a.bottom - trim(a), b.bottom - trim(b)) - Math.max(a.top + trim(a), b.top + trim(b));
        if (across > 2 && down > 1) faults.add(`“${a.words.slice(0, 40)}” over “${b.words.slice(0, 40)}”`);
      }
    }
    return [...faults];
  });
}
