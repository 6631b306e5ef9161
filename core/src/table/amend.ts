import { phaseKind, type Cue, type Line, type LineBlock } from '../method/index.ts';

/**
 * The rest of a line made anew while it runs.
 *
 * The model. A line is a list of cues laid end to end. What is amended is always only what comes after a given cue: everything up to and
 * including it keeps its index, its place and its words, so that stays, readings and discomfort that name a cue by its index go on naming
 * the same one. The rest is taken apart into passes (a stretch of one block and side: opening, rounds, closing) and put together again, and
 * then laid end to end behind the kept part. Where two cues meet that did not meet before, the later one starts where the earlier one ends,
 * so the limb never jumps; edges are those reached, nothing further is promised, and nothing goes past where cautions end the way.
 *
 * Why that is right. Since the past is untouched and the future depends on the line and the cue alone, amending is a pure function of the
 * two, and a run folded from its events anywhere, at any time, gives the same line. Rounds are told apart by number within a block and
 * side: a round that is put in gets the next one, and those behind it move on by one.
 *
 * Each function returns the amended line, or null where there is nothing to amend.
 */

/** Rounds of one side in all: nobody works on without end. */
const MOST_ROUNDS = 20;
/** Blocks in a line with what is put in. */
const MOST_BLOCKS = 60;

const sameSide = (a: Cue, b: Cue) => a.blockIndex === b.blockIndex && a.side === b.side;
const samePass = (a: Cue, b: Cue) => sameSide(a, b) && (a.pass ?? 0) === (b.pass ?? 0);
const isClosing = (cue: Cue) => cue.round > cue.rounds;
const isOpening = (cue: Cue) => cue.round === 0;
/** The limb, or the hand, has not left where it lies: nothing has to be brought home. */
const isAtRest = (line: Line, at: number) => {
  const cue = line.cues[at]!;
  return isOpening(cue) && (cue.open || Math.abs(cue.to - first(line, cue).from) < 1e-9);
};
const first = (line: Line, cue: Cue): Cue => line.cues.find((each) => samePass(each, cue))!;

/** The way in at the beginning of a pass, and its last way home. */
const openingOf = (pass: readonly Cue[]) =>
  pass.slice(
    0,
    pass.findIndex((each) => !isOpening(each)),
  );
const closingOf = (pass: readonly Cue[]) => pass.slice(pass.findLastIndex((each) => !isClosing(each)) + 1);
/** A pass of its own for what is done of a side once more. */
const asNewPass = (line: Line, cues: readonly Cue[]): Cue[] => {
  const pass = 1 + Math.max(...line.cues.filter((each) => each.blockIndex === cues[0]?.blockIndex).map((each) => each.pass ?? 0));
  return cues.map((each) => ({ ...each, pass }));
};

/** What is left of the present pass, and what comes behind it. */
function parted(line: Line, at: number): { readonly pass: readonly Cue[]; readonly behind: readonly Cue[] } {
  const cue = line.cues[at]!;
  let end = at + 1;
  while (end < line.cues.length && samePass(line.cues[end]!, cue)) end++;
  return { pass: line.cues.slice(at + 1, end), behind: line.cues.slice(end) };
}

/** The kept part up to and including a cue, and other cues behind it. */
function laid(line: Line, at: number, rest: readonly Cue[], blocks: readonly LineBlock[] = line.blocks): Line {
  const kept = line.cues.slice(0, at + 1);
  let last = kept.at(-1)!;
  const cues = rest.map((cue, i) => {
    const from = sameSide(cue, last) && (cue.pass ?? 0) === (last.pass ?? 0) ? last.to : cue.from;
    const ms = cue.endMs - cue.startMs;
    last = { ...cue, index: at + 1 + i, startMs: last.endMs, endMs: last.endMs + ms, from };
    return last;
  });
  return { ...line, cues: [...kept, ...cues], blocks, totalMs: last.endMs };
}

/**
 * One more round of the side that is worked on, at the edge that is expected by then; behind the rounds there are, or, while the limb is
 * already brought home, after a new way to the edge.
 */
export function withOneMore(line: Line, at: number): Line | null {
  const cue = line.cues[at]!;
  const rounds = roundsNow(line, cue);
  if (rounds >= MOST_ROUNDS || rounds < 1) return null;
  const whole = line.cues.filter((each) => samePass(each, cue));
  const lastRound = Math.max(...whole.filter((each) => !isClosing(each)).map((each) => each.round));
  const round = whole.filter((each) => each.round === lastRound);
  if (lastRound < 1 || round.length === 0) return null;
  const { pass, behind } = parted(line, at);
  const again = cutToWhatIsLeft(line, atFinalEdge(line, round), line.cues);
  const closing = pass.filter(isClosing);
  const planned = pass.filter((each) => !isClosing(each));
  const more = again.map((each) => ({ ...each, round: lastRound + 1 }));
  const there = isClosing(cue)
    ? [...closing, ...openingOf(whole).filter((each) => !each.open && each.kind !== 'rehearse'), ...more, ...closingOf(whole)]
    : [...planned, ...more, ...closing];
  const moved = [...there, ...behind].map((each) => {
    if (!sameSide(each, cue)) return each;
    const isNew = more.includes(each);
    return { ...each, rounds: rounds + 1, round: !isNew && each.round > lastRound ? each.round + 1 : each.round };
  });
  return laid(line, at, moved);
}

/** Rounds of a cue's side by now: cues that are past keep the number they were told with. */
export function roundsNow(line: Line, cue: Cue): number {
  return Math.max(...line.cues.filter((each) => sameSide(each, cue)).map((each) => each.rounds));
}

/** A round's cues with every place carried to the edge that is expected when all planned rounds are done. */
function atFinalEdge(line: Line, round: readonly Cue[]): Cue[] {
  const rest = first(line, round[0]!).from;
  const final = round.at(-1)!.edge;
  const carried = (value: number, edge: number) => {
    if (Math.abs(value - rest) < 1e-9) return rest;
    return Math.abs(edge - rest) < 1e-9 ? value : rest + (value - rest) * ((final - rest) / (edge - rest));
  };
  return round.map((cue) => ({
    ...cue,
    from: carried(cue.from, line.cues[cue.index - 1]?.edge ?? cue.edge),
    to: carried(cue.to, cue.edge),
    edge: final,
  }));
}

/**
 * The present side of the present block brought to its end: its closing, and nothing more of it. From where nothing has begun, nothing
 * has to be closed.
 */
export function withoutTheRest(line: Line, at: number): Line | null {
  const cue = line.cues[at]!;
  const { pass, behind } = parted(line, at);
  const closing = isAtRest(line, at) ? [] : pass.filter(isClosing);
  const rest = [...closing, ...behind.filter((each) => !sameSide(each, cue))];
  return rest.length === pass.length + behind.length ? null : laid(line, at, rest);
}

/** The other side of the block next; what is left of this one, from the present round on, after it. Null where no other side is left. */
export function withOtherSideNow(line: Line, at: number): Line | null {
  const cue = line.cues[at]!;
  const { pass, behind } = parted(line, at);
  const other = behind.find((each) => each.blockIndex === cue.blockIndex && each.side !== cue.side);
  if (!other) return null;
  const next = behind.filter((each) => samePass(each, other));
  const others = behind.filter((each) => !samePass(each, other));
  const whole = line.cues.filter((each) => samePass(each, cue));
  if (isAtRest(line, at)) return laid(line, at, [...next, ...asNewPass(line, whole), ...others]);
  const left = whole.filter((each) => !isOpening(each) && !isClosing(each) && each.round >= Math.max(1, cue.round));
  const later = left.length === 0 || isClosing(cue) ? [] : [...openingOf(whole), ...left, ...closingOf(whole)];
  return laid(line, at, [...pass.filter(isClosing), ...next, ...asNewPass(line, later), ...others]);
}

/**
 * Blocks that were compiled by themselves, put in behind the present side, or in place of what is left of the present block on any side.
 */
export function withPiece(line: Line, at: number, piece: Pick<Line, 'cues' | 'blocks'>, how: 'added' | 'instead'): Line | null {
  if (piece.cues.length === 0 || line.blocks.length + piece.blocks.length > MOST_BLOCKS) return null;
  const cue = line.cues[at]!;
  const { pass, behind } = parted(line, at);
  const blocks = [...line.blocks, ...piece.blocks.map((block) => ({ ...block, unplanned: how }))];
  const own = piece.cues.map((each) => ({ ...each, blockIndex: each.blockIndex + line.blocks.length }));
  const stays = how === 'instead' ? [...line.cues.slice(0, at + 1), ...(isAtRest(line, at) ? [] : pass.filter(isClosing))] : line.cues;
  const put = cutToWhatIsLeft({ ...line, blocks }, own, stays);
  if (how === 'added') return laid(line, at, [...pass, ...put, ...behind], blocks);
  const closing = isAtRest(line, at) ? [] : pass.filter(isClosing);
  return laid(line, at, [...closing, ...put, ...behind.filter((each) => each.blockIndex !== cue.blockIndex)], blocks);
}

/**
 * New cues, their contractions and presses no longer than cautions leave of them on that side of the entry, with what the line has of them
 * already; one for which nothing is left is not there.
 */
function cutToWhatIsLeft(line: Pick<Line, 'blocks'>, fresh: readonly Cue[], standing: readonly Cue[]): Cue[] {
  const totals = new Map<string, { contractMs: number; pressMs: number }>();
  const keyOf = (cue: Cue) => `${line.blocks[cue.blockIndex]!.entryId}:${cue.side}`;
  const spentOn = (cue: Cue) => {
    const key = keyOf(cue);
    if (!totals.has(key)) totals.set(key, { contractMs: 0, pressMs: 0 });
    return totals.get(key)!;
  };
  const count = (cue: Cue, ms: number) => {
    if (contracts(cue)) spentOn(cue).contractMs += ms;
    if (presses(cue)) spentOn(cue).pressMs += ms;
  };
  for (const cue of standing) count(cue, cue.endMs - cue.startMs);
  return fresh.flatMap((cue) => {
    const most = line.blocks[cue.blockIndex]!.most?.find(({ side }) => side === cue.side);
    const spent = spentOn(cue);
    const wanted = cue.endMs - cue.startMs;
    const left = Math.min(
      contracts(cue) && typeof most?.contractS === 'number' ? most.contractS * 1000 - spent.contractMs : wanted,
      presses(cue) && typeof most?.pressS === 'number' ? most.pressS * 1000 - spent.pressMs : wanted,
    );
    if (left <= 0 && wanted > 0) return [];
    const ms = Math.min(wanted, left);
    count(cue, ms);
    return [ms < wanted ? { ...cue, endMs: cue.startMs + ms, cut: true as const } : cue];
  });
}

export const contracts = (cue: Pick<Cue, 'kind'>): boolean => phaseKind(cue.kind).techniques.includes('contract');
export const presses = (cue: Pick<Cue, 'kind'>): boolean =>
  phaseKind(cue.kind).techniques.includes('press') || phaseKind(cue.kind).techniques.includes('pin');

/** Milliseconds of pressing that cautions leave on a cue's side beside what stays in other cues took; null where they hold nothing down. */
export function pressLeftMs(
  line: Line,
  cue: Cue,
  spans: readonly { readonly cueIndex: number; readonly startMs: number; readonly endMs: number }[],
): number | null {
  const most = line.blocks[cue.blockIndex]!.most?.find(({ side }) => side === cue.side)?.pressS;
  if (typeof most !== 'number' || !presses(cue)) return null;
  const spent = spans
    .filter(({ cueIndex }) => sameSide(line.cues[cueIndex]!, cue) && presses(line.cues[cueIndex]!))
    .reduce((sum, span) => sum + span.endMs - span.startMs, 0);
  return Math.max(0, most * 1000 - spent);
}
