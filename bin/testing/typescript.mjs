// TypeScript for test files that run in plain Node.
import { register } from 'tsx/esm/api';

register();
