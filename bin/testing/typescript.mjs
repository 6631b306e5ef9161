// TypeScript for test files that run in plain Node.
import '../lib/typescript.mjs';
