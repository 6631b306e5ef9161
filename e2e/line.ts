import type { Page, Request } from '@playwright/test';

/**
 * The page's line to the server, to be cut and restored. It is laid before the page opens: a browser that begins to look at a page's
 * requests while it is open lets one or two of them through.
 */
export class Line {
  private cutsOff: ((request: Request) => boolean) | null = null;

  static async of(page: Page): Promise<Line> {
    const line = new Line();
    await page.route('**/api/**', (route) => (line.cutsOff?.(route.request()) ? route.abort() : route.fallback()));
    return line;
  }

  /** From now on nobody answers: nothing at all, or only those requests. */
  cut(which: (request: Request) => boolean = () => true): void {
    this.cutsOff = which;
  }

  restore(): void {
    this.cutsOff = null;
  }
}

/** Everything that changes something. */
export const WRITES = (request: Request): boolean => request.method() !== 'GET';
