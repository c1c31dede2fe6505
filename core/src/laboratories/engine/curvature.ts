import type { Nodes } from './nodes.ts';

/** From this part of the standard uncertainty on, what the slopes leave out is told: below it, simulation and slopes agree within 1 %. */
const NOTICEABLE = 0.05;

/**
 * Whether a result bends so much over its errors that slopes do not tell its uncertainty: when the second-order terms of the single
 * errors, at one standard uncertainty each, shift the result by more than a twentieth of its uncertainty, or widen it as much
 * (JCGM 100:2008, 5.1.2, note). For a quotient that is so when its divisor is known to 5 % or worse.
 */
export function bends(nodes: Nodes, node: number, standard: number): boolean {
  const inputs = [...nodes.graph.slopesOf(node).keys()].filter((index) => (nodes.inputs.all[index]?.standard ?? 0) > 0);
  if (inputs.length === 0 || !(standard > 0)) return false;
  const count = 2 * inputs.length;
  const errors: (Float64Array | undefined)[] = [];
  inputs.forEach((index, k) => {
    const size = nodes.inputs.all[index]?.standard ?? 0;
    const own = new Float64Array(count);
    own[2 * k] = size;
    own[2 * k + 1] = -size;
    errors[index] = own;
  });
  const [results] = nodes.graph.compile([node], count)(errors, count);
  const value = nodes.graph.valueOf(node);
  let [shift, wider] = [0, 0];
  for (let k = 0; k < inputs.length; k += 1) {
    const second = ((results?.[2 * k] ?? NaN) + (results?.[2 * k + 1] ?? NaN)) / 2 - value;
    shift += second;
    wider += 2 * second * second;
  }
  // What has no value at one of these errors bends as well.
  return !(Math.abs(shift) <= NOTICEABLE * standard && Math.sqrt(wider) <= NOTICEABLE * standard);
}
