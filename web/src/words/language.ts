import { createI18n, type MessageContext, type MessageFunction } from 'petite-vue-i18n';

/**
 * What the interface says, by area and key. English ships; another language is a folder beside `en` with the same files
 * (docs/extending.md). A key that a language has not is said in English.
 */
const i18n = createI18n({ legacy: false, locale: 'en', fallbackLocale: 'en', messages: {}, missingWarn: false, fallbackWarn: false });

/** What an area of the interface says, by key: sentences with `{names}` for what is put in. */
export type Catalogue = Readonly<Record<string, string>>;

/** A sentence as a function of what is put into it; what is not known is left empty, as a template would. */
function spoken(sentence: string): MessageFunction<string> {
  const parts = sentence.split(/\{(\w+)\}/);
  return (({ named }: MessageContext<string>) =>
    parts.map((part, i) => (i % 2 === 0 ? part : String(named(part) ?? ''))).join('')) as MessageFunction<string>;
}
const sentences = (area: string, catalogue: Catalogue) =>
  Object.fromEntries(Object.entries(catalogue).map(([key, said]) => [`${area}.${key}`, spoken(said)]));

/**
 * The words of an area: a function from their keys, which are those of its English file, to what is said in the language that is
 * spoken, with the values of `{names}` put in.
 */
export function wordsOf<English extends Catalogue>(area: string, english: English) {
  i18n.global.mergeLocaleMessage('en', sentences(area, english));
  return (key: keyof English & string, values: Readonly<Record<string, unknown>> = {}): string => i18n.global.t(`${area}.${key}`, values);
}

/** Speaks another language from now on: its catalogues by area. */
export function speak(language: string, catalogues: Readonly<Record<string, Catalogue>>): void {
  for (const [area, catalogue] of Object.entries(catalogues)) i18n.global.mergeLocaleMessage(language, sentences(area, catalogue));
  i18n.global.locale.value = language;
}
