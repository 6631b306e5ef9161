export { seeded } from './seeded.ts';
