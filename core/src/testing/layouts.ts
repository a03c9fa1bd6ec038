import fc from 'fast-check';
import { LAYOUT_KINDS, parametersOf, type Layout, type LayoutKind } from '../values/layout.ts';
import type { Parameter, ParameterKind } from '../values/layout-parameters.ts';

const VALUES: Record<ParameterKind, (parameter: Parameter) => fc.Arbitrary<unknown>> = {
  share: () => fc.double({ min: 0.05, max: 0.95, noNaN: true }),
  count: () => fc.integer({ min: 1, max: 12 }),
  limit: () => fc.option(fc.integer({ min: 1, max: 12 }), { nil: undefined }),
  choice: ({ options = [] }) => fc.constantFrom(...options),
  ratio: () => fc.double({ min: 0.05, max: 20, noNaN: true }),
  length: () => fc.integer({ min: 1, max: 60 }),
  board: () => fc.constant(undefined),
  weights: () => fc.array(fc.double({ min: 0.01, max: 100, noNaN: true }), { maxLength: 12 }),
};

/** Any layout of a kind, with all that can be set of it. */
function anyLayoutOf(kind: LayoutKind): fc.Arbitrary<Layout> {
  const values = Object.entries(parametersOf(kind)).map(([name, parameter]) => [
    name,
    VALUES[parameter.of](parameter),
  ]);
  return fc
    .record(Object.fromEntries(values) as Record<string, fc.Arbitrary<unknown>>)
    .map((all) => {
      const said = Object.entries(all).filter(([, value]) => value !== undefined);
      return { kind, ...Object.fromEntries(said) } as unknown as Layout;
    });
}

/** Any layout of some of the kinds. */
export function anyLayout(isMeant: (kind: LayoutKind) => boolean): fc.Arbitrary<Layout> {
  return fc.oneof(...LAYOUT_KINDS.filter(isMeant).map(anyLayoutOf));
}
