import { readonly, shallowRef, type App } from 'vue';
import type { Router } from 'vue-router';

/** A page that could not be shown: where it is, and why. */
export interface Failed {
  readonly path: string;
  readonly reason: 'load' | 'show';
}

const failed = shallowRef<Failed | null>(null);

/** What failed last and was not tried again. */
export const useFailedPage = () => ({ failed: readonly(failed) });

/**
 * Shows what failed instead of an empty page: a part of the program that did not come (the line was cut, or a new version has
 * replaced it), or one that broke while it was drawn. Going elsewhere tries that page as if nothing had been.
 */
export function catchFailures(application: App, router: Router): void {
  router.onError((error, to) => {
    console.error(error);
    failed.value = { path: to.fullPath, reason: 'load' };
  });
  router.beforeEach(() => {
    failed.value = null;
  });
  application.config.errorHandler = (error, _instance, info) => {
    console.error(error);
    const path = router.currentRoute.value.fullPath;
    // A command that failed leaves the page as it is; a page that cannot be drawn is none.
    if (/async component loader|#runtime-13$/.test(info)) failed.value = { path, reason: 'load' };
    else if (/setup function|render function|component update|#runtime-(?:0|1|15)$/.test(info)) failed.value = { path, reason: 'show' };
  };
}
