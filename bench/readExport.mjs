// Reads what is sent at an address and says how long it took, its lines and its size: `node readExport.mjs address cookie`.
const [address, cookie] = process.argv.slice(2);
let [lines, bytes] = [0, 0];
const from = performance.now();
const answer = await fetch(address, { headers: { Cookie: cookie } });
if (!answer.ok) throw new Error(`${answer.status} at ${address}`);
for await (const part of answer.body) {
  bytes += part.length;
  for (let at = part.indexOf(10); at !== -1; at = part.indexOf(10, at + 1)) lines += 1;
}
process.stdout.write(JSON.stringify({ ms: performance.now() - from, lines, bytes }));
