// Turns a component into a plain script for the tests that mount it: its script with the template compiled into it. Styles are left out.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { compileScript, parse } from 'vue/compiler-sfc';
import swcJest from '@swc/jest';

const swc = swcJest.createTransformer({ jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } });
const me = readFileSync(fileURLToPath(import.meta.url));

export default {
  process(source, path, options) {
    const id = createHash('sha1').update(path).digest('hex').slice(0, 8);
    const { descriptor, errors } = parse(source, { filename: path });
    if (errors.length > 0) throw errors[0];
    const fs = { fileExists: existsSync, readFile: (file) => readFileSync(file, 'utf8') };
    return swc.process(compileScript(descriptor, { id, inlineTemplate: true, fs }).content, `${path}.ts`, options);
  },
  getCacheKey: (source, path, options) =>
    createHash('sha1').update(me).update(source).update(path).update(String(options.configString)).digest('hex'),
};
