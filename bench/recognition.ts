import { ENTRIES, entryScene } from '@pace-bend/core/catalogue';
import { drawScene, LIGHT, svgText } from '@pace-bend/core/figure';
import { seeded } from '@pace-bend/core/random';

/**
 * A page that asks somebody who knows the work what is done in a picture: first without names, then with five names from the same part
 * of the body, and how sure they are. It counts and shows the answers; nothing is sent anywhere.
 */
const COUNT = 24;
const NAMES = 5;

export function recognitionPage(seed: number): string {
  const random = seeded(seed);
  const shuffled = <T>(list: readonly T[]): T[] =>
    list
      .map((value) => ({ value, key: random() }))
      .sort((a, b) => a.key - b.key)
      .map(({ value }) => value);
  const able = ENTRIES.filter((entry) => ENTRIES.filter(({ section }) => section === entry.section).length >= NAMES);
  const asked = shuffled(able)
    .slice(0, COUNT)
    .map((entry, i) => {
      const others = shuffled(ENTRIES.filter(({ section, id }) => section === entry.section && id !== entry.id)).slice(0, NAMES - 1);
      return {
        svg: svgText(drawScene(entryScene(entry), { size: 400 }), LIGHT, `q${i}`),
        name: entry.name,
        names: shuffled([entry, ...others]).map(({ name }) => name),
      };
    });
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>What is done here?</title>
<style>body{margin:24px auto;max-width:900px;background:#f5f0e6;color:#1e2a26;font:16px/1.4 sans-serif}svg{display:block;width:500px}button,input{font:inherit;padding:8px 12px;margin:3px}td{padding:2px 12px 2px 0}</style>
<h1>What is done here?</h1><div id="place"></div>
<script type="module">
const asked = ${JSON.stringify(asked).replace(/</g, '\\u003c')};
const answers = [];
const place = document.getElementById('place');
const show = (html) => { place.innerHTML = html; };
const escape = (text) => text.replace(/[&<>"]/g, (c) => '&#' + c.charCodeAt(0) + ';');
function first(i) {
  if (i === asked.length) return end();
  show(asked[i].svg + '<p>Picture ' + (i + 1) + ' of ' + asked.length + '. Name it in your own words, or leave it empty.</p><form><input name="own" size="50" autofocus><button>Show the names</button></form>');
  place.querySelector('form').onsubmit = (event) => { event.preventDefault(); second(i, event.target.own.value.trim()); };
}
function second(i, own) {
  show(asked[i].svg + '<p>Which one is it?</p>' + asked[i].names.map((name) => '<p><button data-sure="yes" data-name="' + escape(name) + '">' + escape(name) + '</button> <button data-sure="no" data-name="' + escape(name) + '">perhaps</button></p>').join(''));
  for (const button of place.querySelectorAll('button')) button.onclick = () => { answers.push({ own, chosen: button.dataset.name, sure: button.dataset.sure === 'yes' }); first(i + 1); };
}
function end() {
  const right = answers.filter((answer, i) => answer.chosen === asked[i].name);
  show('<p><b>' + right.length + ' of ' + asked.length + ' right, ' + right.filter(({ sure }) => sure).length + ' of them sure.</b> Whether your own words say the same is for somebody else to judge.</p><table><tr><td>It is<td>chosen<td>sure<td>own words</tr>' + answers.map((answer, i) => '<tr><td>' + escape(asked[i].name) + '<td>' + (answer.chosen === asked[i].name ? '✓' : escape(answer.chosen)) + '<td>' + (answer.sure ? 'yes' : 'no') + '<td>' + escape(answer.own) + '</tr>').join('') + '</table>');
}
first(0);
</script></html>`;
}
