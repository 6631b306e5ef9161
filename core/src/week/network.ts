/** A maximum-value circulation through one source and one sink, kept at its optimum while arcs are closed one after another. */

/** How a circulation stands: which arcs carry their unit, which are closed, and what it is worth. */
export interface Flow {
  readonly on: Uint8Array;
  readonly closed: Uint8Array;
  readonly value: number;
}

/**
 * Arcs of one unit each from a source to a sink, with a whole-numbered value. What flows from the source to the sink comes back for nothing, so that
 * a unit goes on its way only where it gains.
 *
 * The best flow is found by successive best paths (Jewell 1958, Busacker and Gowen 1960, recalled from memory): from a flow that no circuit of
 * what is left improves, a unit along a best path gives such a flow again. Closing an arc that carries a unit leaves one unit too many at its
 * beginning and one too few at its end, and no improving circuit; a best way from the one to the other through what is left (the way back from
 * the sink to the source among it) therefore gives the best flow without the arc: one search instead of a new solution.
 */
export class Network {
  private readonly from: number[] = [];
  private readonly to: number[] = [];
  private readonly worth: number[] = [];
  /** By node: arcs that leave it, and arcs that come in. */
  private readonly leaving: number[][] = [];
  private readonly coming: number[][] = [];
  readonly source = this.node();
  readonly sink = this.node();

  node(): number {
    this.leaving.push([]);
    this.coming.push([]);
    return this.leaving.length - 1;
  }

  /** An arc of one unit; its number is given back. Throws a RangeError for a value that is not whole. */
  arc(from: number, to: number, worth: number): number {
    if (!Number.isSafeInteger(worth)) throw new RangeError('Values of arcs are whole numbers.');
    const arc = this.from.length;
    this.from.push(from);
    this.to.push(to);
    this.worth.push(worth);
    this.leaving[from]!.push(arc);
    this.coming[to]!.push(arc);
    return arc;
  }

  /** The best flow with everything open. */
  best(): Flow {
    const arcs = this.from.length;
    const flow = { on: new Uint8Array(arcs), closed: new Uint8Array(arcs), value: 0 };
    for (;;) {
      const gain = this.route(flow.on, flow.closed, this.source, this.sink, 0, 0);
      if (gain === null) return flow;
      flow.value += gain;
    }
  }

  /** The best flow with some more arcs closed, given the best one without; the given one is left as it is. */
  without({ on: before, closed: shut, value: had }: Flow, arcs: readonly number[]): Flow {
    const [on, closed] = [before.slice(), shut.slice()];
    let [value, flows] = [had, this.flows(before)];
    for (const arc of arcs) closed[arc] = 1;
    for (const arc of arcs) {
      if (on[arc] === 0) continue;
      on[arc] = 0;
      const path = this.route(on, closed, this.from[arc]!, this.to[arc]!, Number.NEGATIVE_INFINITY, flows)!;
      value += path - this.worth[arc]!;
      flows = this.flows(on);
    }
    return { on, closed, value };
  }

  private flows(on: Uint8Array): number {
    return this.leaving[this.source]!.reduce((sum, arc) => sum + on[arc]!, 0);
  }

  /**
   * Sends one unit along a best way between two nodes through what is left, if it is worth more than `above`; what it gained, or null.
   * `flows`: units that go from source to sink and could come back the other way. Labels are corrected from a queue, which ends because no
   * circuit of what is left gains.
   */
  private route(on: Uint8Array, closed: Uint8Array, start: number, end: number, above: number, flows: number): number | null {
    const nodes = this.leaving.length;
    const label = new Float64Array(nodes).fill(Number.NEGATIVE_INFINITY);
    const via = new Int32Array(nodes).fill(-1);
    const waiting = new Uint8Array(nodes);
    const queue: number[] = [start];
    label[start] = 0;
    const reach = (node: number, value: number, arc: number): void => {
      if (value <= label[node]!) return;
      label[node] = value;
      via[node] = arc;
      if (waiting[node] === 0) {
        waiting[node] = 1;
        queue.push(node);
      }
    };
    for (let i = 0; i < queue.length; i++) {
      const node = queue[i]!;
      waiting[node] = 0;
      const value = label[node]!;
      for (const arc of this.leaving[node]!) if (on[arc] === 0 && closed[arc] === 0) reach(this.to[arc]!, value + this.worth[arc]!, arc);
      for (const arc of this.coming[node]!) if (on[arc] === 1) reach(this.from[arc]!, value - this.worth[arc]!, arc);
      if (start === this.source && end === this.sink) continue;
      // Round by the way back: from the sink to the source always, the other way only as far as something flows.
      if (node === this.sink) reach(this.source, value, WAY_BACK);
      if (node === this.source && flows > 0) reach(this.sink, value, WAY_BACK);
    }
    if (!(label[end]! > above)) return null;
    for (let node = end; node !== start;) {
      const arc = via[node]!;
      if (arc === WAY_BACK) node = node === this.source ? this.sink : this.source;
      else if (this.to[arc] === node && on[arc] === 0) {
        on[arc] = 1;
        node = this.from[arc]!;
      } else {
        on[arc] = 0;
        node = this.to[arc]!;
      }
    }
    return label[end]!;
  }
}

const WAY_BACK = -2;
