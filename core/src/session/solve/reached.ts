import { keyOf, noBits, type Bits } from './bits.ts';
import { reach, type Classes } from './classes.ts';

const UNKNOWN = -1;

/** Sets of available tasks, each under a small number, and how staying somewhere leads from one to another; each worked out once. */
export class ReachedSets {
  /** The set in which nothing is available. */
  readonly nothing: number;
  private readonly sets: Bits[] = [];
  private readonly numbers = new Map<string, number>();
  private readonly steps: Int32Array[] = [];
  private readonly through = new Map<number, number>();

  constructor(private readonly classes: Classes) {
    this.nothing = this.numberOf(noBits(classes.words));
  }

  bits(set: number): Bits {
    return this.sets[set]!;
  }

  /** After staying at a place as well. */
  after(set: number, place: number): number {
    const known = this.steps[set]![place]!;
    if (known !== UNKNOWN) return known;
    const next = this.numberOf(reach(this.classes, place, this.sets[set]!));
    this.steps[set]![place] = next;
    return next;
  }

  /** After staying at all of some places as well, in whatever order and however often; places as bits. */
  afterAll(set: number, places: number): number {
    const key = set * 4096 + places;
    const known = this.through.get(key);
    if (known !== undefined) return known;
    let got = set;
    for (let before = UNKNOWN; before !== got;) {
      before = got;
      for (let place = 0; place < this.classes.at.length; place++) if ((places >> place) & 1) got = this.after(got, place);
    }
    this.through.set(key, got);
    return got;
  }

  private numberOf(bits: Bits): number {
    const key = keyOf(bits);
    const known = this.numbers.get(key);
    if (known !== undefined) return known;
    const number = this.sets.length;
    this.sets.push(bits);
    this.numbers.set(key, number);
    this.steps.push(new Int32Array(this.classes.at.length).fill(UNKNOWN));
    return number;
  }
}
