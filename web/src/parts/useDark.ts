import { onScopeDispose, ref, type Ref } from 'vue';

/** Whether the machine asks for dark colours now; follows it when it changes. */
export function useDark(): Ref<boolean> {
  const query = window.matchMedia('(prefers-color-scheme: dark)');
  const dark = ref(query.matches);
  const follow = () => {
    dark.value = query.matches;
  };
  query.addEventListener('change', follow);
  onScopeDispose(() => query.removeEventListener('change', follow));
  return dark;
}
