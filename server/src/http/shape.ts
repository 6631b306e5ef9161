import { invalid, Problem, type FieldError } from './problem.ts';

/** How deep what is sent may be nested, how many members and items it may have in all, and how many members one object. */
export const SHAPE = { depth: 12, parts: 60_000, members: 200, keyLength: 200 } as const;
/** A squad imported at once has more. */
export const IMPORT_PARTS = 150_000;

/** No text holds these: a field shows them as nothing, a file or a terminal takes them for orders. Tab and line ends are text. */
const CONTROL = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F\u0080-\u009F]/;

function textProblem(text: string): string | null {
  if (!text.isWellFormed()) return 'A character in this text is broken (one half of a pair).';
  return CONTROL.test(text) ? 'This text holds a control character. Type it again, or paste it without its format.' : null;
}

/** What a body that was refused by its structure is told apart by. */
export const TOO_MUCH_STRUCTURE = 'too much structure';

/**
 * Counts commas and brackets in the bytes of a body before it is parsed: half a megabyte of brackets takes longer to parse than
 * anything a schema would let through afterwards. Those inside texts count as well, so the bound is generous.
 */
export function requireFewParts(most: number): (request: unknown, response: unknown, bytes: Buffer) => void {
  return (_request, _response, bytes) => {
    let count = 0;
    for (let i = 0; i < bytes.length; i++) {
      const byte = bytes[i];
      if (byte === 0x2c || byte === 0x5b || byte === 0x7b) count += 1;
    }
    if (count > most) throw Object.assign(new Error('more parts than a body may have'), { type: TOO_MUCH_STRUCTURE });
  };
}

interface Place {
  readonly value: unknown;
  readonly depth: number;
  readonly path: string;
}

/**
 * Looks at what was sent before any schema does: how deep, how much, how wide, and whether its texts are texts. Goes through it
 * with a list of its own instead of calling itself, and stops at the first bound, so that nothing sent can take long.
 * @throws Problem 413 or 422 with the place
 */
export function requireSaneShape(
  body: unknown,
  most: number = SHAPE.parts,
  { depth: deepest, members: widest }: { readonly depth: number; readonly members: number } = SHAPE,
): void {
  const todo: Place[] = [{ value: body, depth: 1, path: '' }];
  const wrong: FieldError[] = [];
  let parts = 0;
  while (todo.length > 0) {
    const { value, depth, path } = todo.pop()!;
    if (typeof value === 'string') {
      const message = textProblem(value);
      if (message !== null && wrong.length < MOST_PROBLEMS) wrong.push({ path, message });
      continue;
    }
    if (value === null || typeof value !== 'object') continue;
    if (depth > deepest)
      throw new Problem('too-deep', `What was sent is nested deeper than ${deepest} levels at ${shown(path)}. Nothing was written.`);
    const members = Array.isArray(value) ? null : Object.keys(value);
    if (members && members.length > widest)
      throw new Problem('too-much', `An object that was sent has more than ${widest} members at ${shown(path)}. Nothing was written.`);
    const count = members ? members.length : (value as unknown[]).length;
    parts += count;
    if (parts > most) throw new Problem('too-much', `What was sent has more than ${most} parts. Nothing was written.`);
    for (let i = 0; i < count; i++) {
      const name = members ? members[i]! : String(i);
      if (members && (name.length > SHAPE.keyLength || !name.isWellFormed()))
        throw new Problem('not-valid', `A member’s name is too long or broken at ${shown(path)}. Nothing was written.`);
      todo.push({ value: (value as Record<string, unknown>)[name], depth: depth + 1, path: path === '' ? name : `${path}.${name}` });
    }
  }
  if (wrong.length > 0) throw invalid(wrong);
}

/** More than this nobody reads; the rest is counted. */
export const MOST_PROBLEMS = 50;
const shown = (path: string) => (path === '' ? 'its top' : `“${path.slice(0, 80)}”`);
