import katex from 'katex';

/** A formula as MathML, from LaTeX. */
export function mathmlOf(latex: string): string {
  const html = katex.renderToString(latex, { output: 'mathml', throwOnError: false, trust: false });
  return /<math.*<\/math>/s.exec(html)?.[0] ?? '';
}
