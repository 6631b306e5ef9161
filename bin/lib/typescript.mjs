// For `--import`: TypeScript runs as it is, and errors name its lines.
import { register } from 'node:module';

process.setSourceMapsEnabled(true);
register('./typescriptHooks.mjs', import.meta.url);
