import katex from 'katex';
import 'katex/dist/katex.min.css';
import { useContext, useLayoutEffect, useRef, type ReactNode } from 'react';
import { DecimalMark, latexWithMark } from './decimal-mark.ts';

/** A formula typeset from LaTeX, with MathML beside it for screen readers. */
export default function Typeset({ latex }: { readonly latex: string }): ReactNode {
  const mark = useContext(DecimalMark);
  const node = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    if (node.current)
      katex.render(latexWithMark(latex, mark), node.current, {
        displayMode: true,
        fleqn: true,
        throwOnError: false,
        trust: false,
        output: 'htmlAndMathml',
      });
  }, [latex, mark]);
  return (
    <div
      ref={node}
      className="relative overflow-x-auto py-1 [&_.katex-display]:my-2! [&_.katex-display>.katex]:pl-0!"
    />
  );
}
