// What a browser has and the page that tests make for themselves lacks.
import 'fake-indexeddb/auto';

Object.assign(globalThis, {
  structuredClone: (value: unknown) => (value === undefined ? undefined : (JSON.parse(JSON.stringify(value)) as unknown)),
  matchMedia: (query: string) => ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    addListener: () => undefined,
    removeListener: () => undefined,
  }),
  // Nothing has a place here.
  ResizeObserver: class {
    observe() {}
    unobserve() {}
    disconnect() {}
  },
});
Element.prototype.scrollIntoView = () => undefined;
