// TypeScript for the tests. A test file runs in a global scope of its own, where every look at a global (Math.sqrt, Number, Map) is a call
// into the machine instead of a load: simulations spend most of their time there. So each module takes its globals once, on its first line,
// which leaves the lines where they were. Nothing that a test may put something else in the place of is among them.
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import swcJest from '@swc/jest';

const swc = swcJest.createTransformer({
  jsc: { target: 'es2022', parser: { syntax: 'typescript' }, experimental: { keepImportAttributes: true } },
  module: { type: 'es6' },
});
const TAKEN =
  'const { Array, Boolean, Error, Float64Array, Int32Array, Map, Math, Number, Object, Set, String, Uint8Array, Uint32Array } = globalThis; ';
const me = readFileSync(fileURLToPath(import.meta.url));

export default {
  process: (source, path, options) => swc.process(TAKEN + source, path, options),
  processAsync: (source, path, options) => swc.processAsync(TAKEN + source, path, options),
  getCacheKey: (source, path, options) =>
    createHash('sha1')
      .update(me)
      .update(swc.getCacheKey(source, path, options))
      .digest('hex'),
};
