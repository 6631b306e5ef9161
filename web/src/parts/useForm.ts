import type { Schema } from 'joi';
import { computed, nextTick, ref, type Ref } from 'vue';

/**
 * What a form holds against the rules of a Joi schema. Nothing is wrong before somebody tried to send it; from then on it is said while they type. A
 * rule that speaks of no field (the form as a whole) speaks at `whole`.
 */
export function useForm(schema: () => Schema, held: () => object, whole = '') {
  const tried = ref(false);
  const wrong: Readonly<Ref<Readonly<Record<string, string>>>> = computed(() => {
    if (!tried.value) return {};
    const faults = schema().validate(held(), { abortEarly: false, allowUnknown: true }).error?.details ?? [];
    const said: Record<string, string> = {};
    // Of several faults of one field the first is said.
    for (const { path, message } of faults) said[String(path[0] ?? whole)] ??= message;
    return said;
  });

  /** Whether it may be sent. Where it may not, the first field that is refused gets the focus; `within` is the form. */
  function isSound(within?: HTMLElement | null): boolean {
    tried.value = true;
    const sound = Object.keys(wrong.value).length === 0;
    if (!sound) void nextTick(() => within?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
    return sound;
  }
  /** As it was before anybody tried. */
  function begin(): void {
    tried.value = false;
  }
  return { tried, wrong, isSound, begin };
}
