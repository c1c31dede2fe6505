import type { Operation } from './operations.ts';

/** How a result depends on base inputs: partial derivatives by the input’s index; an input that is not there has none. */
export type Slopes = ReadonlyMap<number, number>;

interface Node {
  readonly operation: Operation | null;
  readonly parts: readonly number[];
  /** Base inputs that are added to it. */
  readonly inputs: readonly number[];
  readonly value: number;
  readonly slopes: Slopes;
}

const NOTHING: Slopes = new Map();

function carried(parts: readonly Node[], slopes: readonly number[], inputs: readonly number[]): Slopes {
  const total = new Map<number, number>();
  parts.forEach((part, k) => {
    const slope = slopes[k] ?? 0;
    // What is not uncertain passes on nothing, whatever the slope.
    for (const [input, partial] of part.slopes)
      if (partial !== 0 && slope !== 0) total.set(input, (total.get(input) ?? 0) + slope * partial);
  });
  for (const input of inputs) total.set(input, (total.get(input) ?? 0) + 1);
  return total;
}

/**
 * A calculation as a graph in double precision, each node with its value and its slopes over base inputs (forward-mode automatic
 * differentiation). Base inputs are errors: each is 0 at the values that were found. The same graph gives the values for other errors,
 * many at once.
 */
export class Graph {
  private readonly nodes: Node[] = [];
  private count = 0;

  /** A new base input; its index. */
  input(): number {
    this.count += 1;
    return this.count - 1;
  }

  /** A known number, with the errors that are in it. */
  value(value: number, inputs: readonly number[] = []): number {
    return this.push({
      operation: null,
      parts: [],
      inputs,
      value,
      slopes: inputs.length === 0 ? NOTHING : carried([], [], inputs),
    });
  }

  /** What an operation makes of other nodes, with the errors that come in there. */
  apply(operation: Operation, parts: readonly number[], inputs: readonly number[] = []): number {
    const of = parts.map((part) => this.node(part));
    const { value, slopes } = operation.at(of.map((node) => node.value));
    return this.push({ operation, parts, inputs, value, slopes: carried(of, slopes, inputs) });
  }

  private push(node: Node): number {
    this.nodes.push(node);
    return this.nodes.length - 1;
  }

  private node(index: number): Node {
    const node = this.nodes[index];
    if (!node) throw new RangeError(`node: ${index} is not one of ${this.nodes.length}.`);
    return node;
  }

  valueOf(node: number): number {
    return this.node(node).value;
  }

  slopesOf(node: number): Slopes {
    return this.node(node).slopes;
  }

  /**
   * Prepares the evaluation of some nodes for many errors at once.
   * @param wanted nodes. @param size how many points at most are evaluated at a time.
   * @returns a function of the errors, one array for each base input (undefined for one that stays 0), and their number; it gives one
   * array for each wanted node, which the next call overwrites.
   */
  compile(
    wanted: readonly number[],
    size: number,
  ): (errors: readonly (Float64Array | undefined)[], count: number) => Float64Array[] {
    const needed = this.neededFor(wanted);
    const held = new Map<number, Float64Array>(
      needed.map((index) => [index, new Float64Array(size).fill(this.node(index).value)]),
    );
    const arrayOf = (index: number): Float64Array => held.get(index) ?? new Float64Array(0);
    const steps = needed
      .map((index) => ({ node: this.node(index), out: arrayOf(index) }))
      .filter(({ node }) => node.operation !== null || node.inputs.length > 0)
      .map(({ node, out }) => ({ ...node, out, from: node.parts.map(arrayOf) }));
    return (errors, count) => {
      for (const { operation, from, out, inputs, value } of steps) {
        if (operation) operation.fill(from, out, count);
        else out.fill(value, 0, count);
        for (const input of inputs) {
          const error = errors[input];
          if (error) for (let i = 0; i < count; i += 1) out[i] = (out[i] ?? 0) + (error[i] ?? 0);
        }
      }
      return wanted.map(arrayOf);
    };
  }

  /** The nodes that others need, each after those it needs itself. */
  private neededFor(wanted: readonly number[]): number[] {
    const needed = new Set(wanted);
    for (let index = Math.max(-1, ...wanted); index >= 0; index -= 1)
      if (needed.has(index)) for (const part of this.node(index).parts) needed.add(part);
    return [...needed].sort((a, b) => a - b);
  }
}
