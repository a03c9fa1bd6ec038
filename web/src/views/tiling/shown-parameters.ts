import { definitionOfLayout } from '@sorn/core/tiling';
import {
  parametersOf,
  type Layout,
  type LayoutField,
  type Parameter,
  type ParameterKind,
} from '@sorn/core/values';

export type ParameterField = Exclude<LayoutField, 'kind'>;

/** What can be set of a layout, in the order in which it is shown. */
export function shownParameters(layout: Layout): { field: ParameterField; parameter: Parameter }[] {
  const { form } = definitionOfLayout(layout);
  return Object.entries(parametersOf(layout.kind))
    .map(([name, parameter]) => ({ field: name as ParameterField, parameter }))
    .filter(({ field }) => !form.hides?.[field]?.(layout))
    .sort((a, b) => rankOf(a.parameter) - rankOf(b.parameter));
}

/** The first parameter of a layout that is typed: a key goes to it. Null where none is. */
export function mainParameter(layout: Layout): Parameter | null {
  const typed: readonly ParameterKind[] = ['share', 'weights', 'count', 'ratio', 'length'];
  return (
    shownParameters(layout).find(({ parameter }) => typed.includes(parameter.of))?.parameter ?? null
  );
}

/** What has keys of its own comes first. */
const rankOf = ({ of }: Parameter) => (of === 'share' ? 0 : of === 'count' ? 1 : 2);
