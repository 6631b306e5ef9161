import type { Position, Region, Side } from '../body/index.ts';
import type { ClockId, Direction, GlideId } from '../finding/index.ts';

/** Parts of the catalogue, in the order they are shown. */
export const SECTIONS = [
  'Neck',
  'Shoulder and chest',
  'Arm and hand',
  'Trunk',
  'Hip',
  'Thigh and knee',
  'Ankle and foot',
  'Closing',
  'Home work',
] as const;
export type Section = (typeof SECTIONS)[number];

/** What of the therapist's body does the work. */
export const TOOLS = ['palm', 'forearm', 'knuckles', 'thumb', 'fingers', 'elbow', 'body lean', 'stick', 'foot', 'towel'] as const;
export type Tool = (typeof TOOLS)[number];

export interface ToolLoad {
  readonly tool: Tool;
  /** Share of the working time this tool is under load, 0–1. */
  readonly share: number;
}

/** Where in a visit an entry belongs: warming first, then broad work, then lengthening and joints, a still end. */
export const STAGES = ['warm', 'broad', 'specific', 'joint', 'close', 'home'] as const;
export type Stage = (typeof STAGES)[number];

/** How something is set up in a position: in one spoken sentence, with cushions and straps, and what each hand does. */
export interface SetUp {
  readonly setUp: string;
  readonly supports?: string;
  readonly hands?: string;
  /** Ids of ways of working that do not go here, although the entry has them. */
  readonly without?: readonly string[];
}

/** One phase as it is said at the table: at most six words, what goes with them, and who moves. What is left out is as the way has it. */
export interface Spoken {
  readonly text: string;
  readonly detail?: string;
  readonly works?: 'athlete' | 'therapist';
}

/** Something that is said of a way of working, or of an entry, and how well it is known. */
export interface Claim {
  readonly text: string;
  readonly source: string;
  /** How sure it is: shown in trials, trials disagree, or taught and not tried. */
  readonly sure: 'shown' | 'mixed' | 'taught';
  /** Checked by a test where it can be: the published bounds that the defaults stay inside. */
  readonly guidance?: 'acsm-2011';
}

/** What is easier or harder than an entry, and in what: another entry, or, without an id, the same one done otherwise. */
export interface Variant {
  readonly id?: string;
  readonly why: string;
}

/** What a way of working begins with on one entry, where that is not what the way begins with everywhere. */
export interface Dose {
  readonly rounds?: number;
  /** By number id; one value, or one a round. */
  readonly numbers?: Readonly<Record<string, readonly number[]>>;
  /** By choice id. */
  readonly choices?: Readonly<Record<string, string>>;
  /** Stations, directions, points or angles in their order, by list id, where this way goes through them otherwise than others do here. */
  readonly lists?: Readonly<Record<string, readonly string[]>>;
}

/** What an athlete does alone at home, said to them and in their words; what it begins with, which a sheet may change. */
export interface HomeWork {
  /** What they do. `{side}` and `{other}` are the side it is done on and the other one, `{Side}` where a sentence begins. */
  readonly how: string;
  /** When they stop, after the words “Stop when”. */
  readonly stop: string;
  /** How often in one go, on each side where it has sides. */
  readonly times: number;
  /** How long each time, in seconds; null where it is not held. */
  readonly seconds: number | null;
  /** The times are breaths. */
  readonly breaths?: true;
  /** So many goes in a row; one where nothing is said. */
  readonly sets?: number;
  readonly perDay: number;
  /** When in the day. */
  readonly when: string;
}

/** Something that can be done to an athlete: one stretch, press or mobilization with everything needed at the table. */
export interface Entry {
  readonly id: string;
  readonly section: Section;
  readonly stage: Stage;
  readonly name: string;
  readonly synonyms: readonly string[];
  /** What is worked on: muscles by name, or a joint. The first is the main one. */
  readonly targets: readonly [string, ...string[]];
  /** The motion that shows whether it worked, and along which it is drawn. */
  readonly motionId: string;
  /** Other motions it lengthens. */
  readonly also: readonly string[];
  /** False where no motion is expected to change: closings, wake-up taps. */
  readonly measured: boolean;
  /** Places on the body the hands are on, where they are not those of the motion. */
  readonly regions?: readonly Region[];
  /** Whether the joint is taken through its motion at all; pressing and shaking leave it where it is. */
  readonly still?: true;
  readonly sides?: readonly Side[];
  /** The usual position first. Side-lying: the worked side up. */
  readonly positions: readonly [Position, ...Position[]];
  /** How it is set up in each position but the usual one; what is left out there is as in the usual one. */
  readonly places?: Readonly<Partial<Record<Position, SetUp>>>;
  /** Cushions, straps, what the other limb does. */
  readonly supports: string;
  /** Set-up in one spoken sentence. */
  readonly setUp: string;
  /** Where the limb, or the head, is carried to its edge, as it is said aloud in at most five words; left out only where no way carries anything. */
  readonly lead?: string;
  /** Where it is carried until it eases, in the same few words, where some way makes it short. */
  readonly ease?: string;
  /** What plays in the joint where it is mobilized, as it is said aloud; `{place}` is the direction. */
  readonly play?: string;
  /** What each hand does. */
  readonly hands: string;
  readonly mover: 'therapist' | 'athlete' | 'both';
  /** How the athlete is told to press, in plain words, short enough to read across a room. */
  readonly press: string;
  /** The direction of the press, or of the hand where nobody presses against it. */
  readonly pressLine: string;
  readonly bringHome: string;
  readonly watch: string;
  /** A pulse lies near: before hands press, none is under the fingers. */
  readonly vessel?: true;
  /** What is on the skin: oil would let a dry hand slip. Left out, either goes. */
  readonly medium?: 'dry' | 'oil' | 'dry first';
  /** That it worked: what the eye or the hand finds then. */
  readonly sign?: string;
  /** When to stay longer, and when to leave it out. */
  readonly longer?: string;
  readonly leaveOut?: string;
  /** What speaks against it, in words; the rules stand with the cautions. */
  readonly cautions: string;
  readonly tools: readonly [ToolLoad, ...ToolLoad[]];
  /** Ids of the ways of working that fit, the usual one first. */
  readonly ways: readonly [string, ...string[]];
  /** What hands do here on top of what the way of working says. */
  readonly adds?: readonly ('friction' | 'nerve-line' | 'press' | 'pin' | 'mobilize')[];
  /** What is said here in place of what a way says everywhere: by way, and by the way's own words. A practice that says it otherwise is heard. */
  readonly says?: Readonly<Record<string, Readonly<Record<string, Spoken>>>>;
  /** What a way begins with here, by its id; what is left out is as the way has it. Taught where the entry is, or common practice. */
  readonly doses?: Readonly<Record<string, Dose>>;
  /** Stations, directions, points or angles of its own, by list id of the ways of working. */
  readonly lists?: Readonly<Record<string, readonly string[]>>;
  /** What is found by hand that says where to go here: the clock of a joint, or glides with the words they have in its list. */
  readonly found?: {
    readonly clock?: ClockId;
    readonly glide?: { readonly subject: GlideId; readonly words: Readonly<Record<Direction, string>> };
  };
  /** Only for somebody who was operated on and has the go-ahead: never proposed by itself. */
  readonly afterOperation?: true;
  /** Needs what is not in every room, a chair, a mat, a stick: done where somebody asks for it, never proposed by itself. */
  readonly onlyAsked?: true;
  /** What is said of it on a sheet for home; on everything that is work for home, and on nothing else. */
  readonly home?: HomeWork;
  /** The entry whose pictures it has, where it was made from one. */
  readonly drawnAs?: string;
  /** What is said of this entry in particular, beside what is said of its ways. */
  readonly claims?: readonly Claim[];
  /** Easier and harder variants with their reason; where none is named, lighter and fewer is easier, and nothing harder is taught. */
  readonly easier: readonly Variant[];
  readonly harder: readonly Variant[];
}
