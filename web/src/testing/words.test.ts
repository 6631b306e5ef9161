import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { saidIn } from './saidIn.ts';

/** All words of the interface stand in the catalogues (web/src/words), so that another language is a folder of files. */
const SOURCE = 'web/src';
const CATALOGUES = join(SOURCE, 'words', 'en');
const catalogues = new Map(
  readdirSync(CATALOGUES).map((file) => [
    file.replace('.json', ''),
    JSON.parse(readFileSync(join(CATALOGUES, file), 'utf8')) as Record<string, string>,
  ]),
);
const files = readdirSync(SOURCE, { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.(?:vue|ts)$/.test(file) && !/\.(?:test|mount)\.ts$|^(?:testing|words)\/|\.d\.ts$/.test(file))
  .map((file) => ({ file, source: readFileSync(join(SOURCE, file), 'utf8') }));
/** The keys a file says something by, with the names of what is put in, by area. */
const used = files.flatMap(({ file, source }) => {
  const area = /import \{ t(?: as phrase)? \} from '[^']*words\/(\w+)\.ts'/.exec(source)?.[1];
  return area ? [...source.matchAll(/\b(?:t|phrase)\(\s*'(\w+)'/g)].map(([, key]) => ({ file, area, key: key! })) : [];
});

test.each(files)('$file says nothing that stands in no catalogue', ({ file, source }) => {
  expect(saidIn(file, source)).toEqual([]);
});

test('the eye of this test sees what is said in a template, its attributes, its choices and a script, and nothing else', () => {
  const said = (template: string, script = '') =>
    saidIn('a.vue', `<script setup lang="ts">${script}</script><template>${template}</template>`);
  expect(said('<p class="two words">Keep it</p>')).toEqual(['Keep it']);
  expect(said('<p>{{ n }} of {{ m }} rounds</p>')).toEqual(['{{ n }} of {{ m }} rounds']);
  expect(said('<a :title="open ? \'shut\' : \'open\'" to="/a b" />')).toEqual(['shut', 'open']);
  expect(said('<a label="x" aria-label="Other days" autocomplete="new-password" />')).toEqual(['x', 'Other days']);
  expect(said('<p>{{ n === 1 ? "row" : "rows" }}</p>')).toEqual(['row', 'rows']);
  expect(said("<p v-if=\"state === 'under way'\" :class=\"wide ? 'two words' : ''\" />")).toEqual([]);
  expect(said('<b>×</b>{{ t("wait", { what: last ? "done" : "" }) }}')).toEqual(['done']);
  expect(said('<i />', "const A = 'No answer yet'; type B = 'Some words'; const c = d === 'Other words';")).toEqual(['No answer yet']);
  expect(said('<i />', "const SIDE_WORDS = { left: 'left' } as const; throw new Error('Not for readers');")).toEqual(['left']);
});

test('every key that is used is in its area’s catalogue, and every one in a catalogue is used', () => {
  expect(used.filter(({ area, key }) => catalogues.get(area)?.[key] === undefined)).toEqual([]);
  const keys = new Set(used.map(({ area, key }) => `${area}.${key}`));
  const idle = [...catalogues].flatMap(([area, words]) =>
    Object.keys(words).flatMap((key) => (keys.has(`${area}.${key}`) ? [] : [`${area}.${key}`])),
  );
  expect(idle).toEqual([]);
});

test('a sentence is whole: no blanks at its ends, braces only around names', () => {
  for (const [area, words] of catalogues)
    for (const [key, said] of Object.entries(words)) {
      expect([area, key, said.trim()]).toEqual([area, key, said]);
      expect([area, key, said.replace(/\{\w+\}/g, '')]).toEqual([area, key, expect.not.stringMatching(/[{}]/)]);
    }
});

/** Blanks on one line between a tag and what is put in: at the start and the end of an element they are not drawn, and two words run together. */
function lostBlanks(source: string): string[] {
  const template = source.slice(source.indexOf('<template>'), source.lastIndexOf('</template>'));
  return [
    ...template.matchAll(/<[a-zA-Z][\w-]*(?:\s(?:"[^"]*"|[^"<>])*)?(?<!\/)> +\{\{[^}]*\}\}/g),
    ...template.matchAll(/\{\{(?! ' ' \}\})[^}]*\}\} +<\/[a-zA-Z]/g),
  ].map(([found]) => found);
}

test.each(files.filter(({ file }) => file.endsWith('.vue')))('$file loses no blank between two words', ({ source }) => {
  expect(lostBlanks(source)).toEqual([]);
});

test('a blank that is lost is seen, one that is drawn is not', () => {
  const lost = (inner: string) => lostBlanks(`<template><p>${inner}</p></template>`).length;
  expect([lost('a<b v-if="x > 1"> {{ n }}</b>'), lost('a<template v-if="over"> {{ n }}</template>'), lost('<b>{{ n }} </b>c')]).toEqual([
    1, 1, 1,
  ]);
  expect([lost('<i /> {{ n }}'), lost('<b>a</b> {{ n }} of'), lost("a<b>{{ ' ' }}{{ n }}</b>"), lost('<b> · {{ n }}</b>')]).toEqual([
    0, 0, 0, 0,
  ]);
});
