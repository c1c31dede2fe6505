import type { Dimension, Protocol, Quantity } from '@green-beam/core';
import { useWatch } from 'react-hook-form';
import type { Choice } from './fields.tsx';

/** What is being written, as far as it has come: every list is there, but its items may lack something. */
export function useSheet(): Protocol {
  return useWatch() as Protocol;
}

/** An id that none of the others has: `step3`. */
export function freshId(start: string, others: readonly { readonly id?: unknown }[]): string {
  const taken = new Set(others.map(({ id }) => id));
  let number = others.length + 1;
  while (taken.has(`${start}${number}`)) number += 1;
  return `${start}${number}`;
}

/** What has a name, to be chosen from; each id once. */
export function choicesOf(list: readonly { readonly id: string; readonly name: string }[]): Choice[] {
  return [...new Map(list.map(({ id, name }) => [id, { id, name: name === '' ? id : name }])).values()];
}

export const withUnits = ({ quantities }: Protocol): readonly Quantity[] =>
  quantities.filter(({ kind }) => kind !== 'observed');

export const computedOf = ({ quantities }: Protocol): readonly Quantity[] =>
  quantities.filter(({ kind }) => kind === 'computed');

/** Dimensions that are counted, each with its place in the list. */
export function countedOf({
  dimensions,
}: Protocol): readonly { readonly dimension: Dimension; readonly index: number }[] {
  return dimensions
    .map((dimension, index) => ({ dimension, index }))
    .filter(({ dimension }) => dimension.kind !== 'case');
}
