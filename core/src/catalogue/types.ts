import type { Position } from '../body/index.ts';

/** Something that can be done to an athlete: one stretch or mobilization with everything needed at the table. */
export interface Entry {
  readonly id: string;
  readonly name: string;
  readonly synonyms: readonly string[];
  /** The muscle being lengthened. */
  readonly target: string;
  /** The motion that shows whether it worked. */
  readonly motionId: string;
  readonly position: Position;
  /** Set-up in one spoken sentence, supports included. */
  readonly setUp: string;
  /** What each hand does. */
  readonly hands: string;
  /** How the athlete is told to press, in plain words, short enough to read across a room. */
  readonly press: string;
  /** The direction of the press. */
  readonly pressLine: string;
  readonly bringHome: string;
  readonly watch: string;
  /** Ids of the ways of working that fit, the usual one first. */
  readonly ways: readonly string[];
}
