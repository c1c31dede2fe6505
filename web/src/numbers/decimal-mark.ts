import type { HouseRules } from '@green-beam/core';
import { createContext, useCallback, useContext } from 'react';

/** The decimal mark of the class; numbers are kept and sent with a point, and shown with this. */
export const DecimalMark = createContext<HouseRules['decimalMark']>('point');

/** A text with the decimal mark of a class in its numbers. */
export function withMark(text: string, mark: HouseRules['decimalMark']): string {
  return mark === 'point' ? text : text.replace(/(\d)\.(?=\d)/g, '$1,');
}

/** LaTeX with the decimal mark of a class; a comma in braces has no space after it. */
export function latexWithMark(latex: string, mark: HouseRules['decimalMark']): string {
  return mark === 'point' ? latex : latex.replace(/(\d)\.(?=\d)/g, '$1{,}');
}

/** Puts the class’s decimal mark into texts; the same function for as long as the mark is the same. */
export function useNumerals(): (text: string) => string {
  const mark = useContext(DecimalMark);
  return useCallback((text: string) => withMark(text, mark), [mark]);
}
