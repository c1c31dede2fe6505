import { ExpressionError, type Expression, type FunctionName } from './expression.ts';

/** A value with its partial derivatives, one per input, in the order of the inputs: forward-mode automatic differentiation. */
export interface Dual {
  readonly value: number;
  readonly gradient: Float64Array;
}

type Compiled = (inputs: Float64Array) => Dual;

function chain(value: number, ...terms: readonly [slope: number, of: Dual][]): Dual {
  const gradient = new Float64Array(terms[0]?.[1].gradient.length ?? 0);
  for (const [slope, of] of terms) {
    for (let i = 0; i < gradient.length; i += 1) {
      const partial = of.gradient[i] ?? 0;
      if (partial !== 0) gradient[i] = (gradient[i] ?? 0) + slope * partial;
    }
  }
  return { value, gradient };
}

const ONE_ARGUMENT: Partial<Record<FunctionName, (x: number) => readonly [value: number, slope: number]>> = {
  sqrt: (x) => [Math.sqrt(x), 0.5 / Math.sqrt(x)],
  ln: (x) => [Math.log(x), 1 / x],
  log10: (x) => [Math.log10(x), 1 / (x * Math.LN10)],
  exp: (x) => [Math.exp(x), Math.exp(x)],
  sin: (x) => [Math.sin(x), Math.cos(x)],
  cos: (x) => [Math.cos(x), -Math.sin(x)],
  tan: (x) => [Math.tan(x), 1 / Math.cos(x) ** 2],
  // At zero the slope is that of x.
  abs: (x) => [Math.abs(x), x < 0 ? -1 : 1],
};

function total(parts: readonly Dual[]): number {
  return parts.reduce((sum, part) => sum + part.value, 0);
}

function applyFunction(name: FunctionName, parts: readonly Dual[]): Dual {
  const [first] = parts;
  if (!first) throw new ExpressionError(`${name} needs an argument.`);
  const single = ONE_ARGUMENT[name];
  if (single) {
    const [value, slope] = single(first.value);
    return chain(value, [slope, first]);
  }
  if (name === 'mean')
    return chain(total(parts) / parts.length, ...parts.map((part): [number, Dual] => [1 / parts.length, part]));
  if (name === 'sum') return chain(total(parts), ...parts.map((part): [number, Dual] => [1, part]));
  if (name === 'median') {
    const ordered = [...parts].sort((a, b) => a.value - b.value);
    const middle = ordered.slice(Math.ceil(ordered.length / 2) - 1, Math.floor(ordered.length / 2) + 1);
    return chain(total(middle) / middle.length, ...middle.map((part): [number, Dual] => [1 / middle.length, part]));
  }
  return parts.reduce((best, part) =>
    (name === 'min' ? part.value < best.value : part.value > best.value) ? part : best,
  );
}

function power(base: Dual, exponent: Dual): Dual {
  const value = base.value ** exponent.value;
  const bySlope: [number, Dual] = [
    exponent.value === 0 ? 0 : exponent.value * base.value ** (exponent.value - 1),
    base,
  ];
  if (exponent.gradient.every((partial) => partial === 0)) return chain(value, bySlope);
  return chain(value, bySlope, [value * Math.log(base.value), exponent]);
}

/**
 * Compiles a unit-free expression to a closure that yields its value and exact gradient (no finite differences, no generated code).
 * @param names the inputs, in the order in which values will be given.
 * @throws ExpressionError when the expression uses a name that is not among them.
 */
export function compileGradient(tree: Expression, names: readonly string[]): Compiled {
  const constant =
    (value: number): Compiled =>
    () => ({ value, gradient: new Float64Array(names.length) });
  switch (tree.kind) {
    case 'number':
      return constant(tree.written.value.toNumber());
    case 'pi':
      return constant(Math.PI);
    case 'exact':
      return compileGradient(tree.operand, names);
    case 'negate': {
      const operand = compileGradient(tree.operand, names);
      return (inputs) => {
        const inner = operand(inputs);
        return chain(-inner.value, [-1, inner]);
      };
    }
    case 'convert': {
      const operand = compileGradient(tree.operand, names);
      const operations = tree.operations.map((operation) =>
        'times' in operation ? ([operation.times.toNumber(), 0] as const) : ([1, operation.plus.toNumber()] as const),
      );
      return (inputs) =>
        operations.reduce(
          (inner, [slope, offset]) => chain(slope * inner.value + offset, [slope, inner]),
          operand(inputs),
        );
    }
    case 'name': {
      const index = names.indexOf(tree.name);
      if (index < 0) throw new ExpressionError(`The formula uses ${tree.name}, which is not among the inputs.`);
      return (inputs) => {
        const gradient = new Float64Array(names.length);
        gradient[index] = 1;
        return { value: inputs[index] ?? NaN, gradient };
      };
    }
    case 'call': {
      const parts = tree.arguments.map((argument) => compileGradient(argument, names));
      return (inputs) =>
        applyFunction(
          tree.name,
          parts.map((part) => part(inputs)),
        );
    }
    case 'binary': {
      const [left, right] = [compileGradient(tree.left, names), compileGradient(tree.right, names)];
      return (inputs) => {
        const [a, b] = [left(inputs), right(inputs)];
        switch (tree.operator) {
          case '+':
            return chain(a.value + b.value, [1, a], [1, b]);
          case '-':
            return chain(a.value - b.value, [1, a], [-1, b]);
          case '*':
            return chain(a.value * b.value, [b.value, a], [a.value, b]);
          case '/':
            return chain(a.value / b.value, [1 / b.value, a], [-a.value / b.value ** 2, b]);
          case '^':
            return power(a, b);
        }
      };
    }
  }
}
