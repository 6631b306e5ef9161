export { Heap } from './heap.ts';
