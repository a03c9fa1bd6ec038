import { z } from 'zod';
import { fields } from './fields.ts';
import { LAYOUT_PARAMETERS, type Parameter } from './layout-parameters.ts';

export type LayoutKind = keyof typeof LAYOUT_PARAMETERS;
export const LAYOUT_KINDS = Object.keys(LAYOUT_PARAMETERS) as readonly LayoutKind[];

/** What can be set of a kind of layout. */
export function parametersOf(kind: LayoutKind): Readonly<Record<string, Parameter>> {
  return LAYOUT_PARAMETERS[kind];
}

/** The schemas of some parameters, by their names. */
function schemasOf(parameters: Readonly<Record<string, Parameter>>): Record<string, z.ZodType> {
  return Object.fromEntries(Object.entries(parameters).map(([name, { schema }]) => [name, schema]));
}

type ParametersOf<K extends LayoutKind> = (typeof LAYOUT_PARAMETERS)[K];
type SchemaOf<P> = P extends { schema: infer S extends z.ZodType } ? S : never;
type Said<K extends LayoutKind> = z.output<
  z.ZodObject<{ -readonly [Name in keyof ParametersOf<K>]: SchemaOf<ParametersOf<K>[Name]> }>
>;
type Flat<T> = { [Name in keyof T]: T[Name] };
type SettingOf<K extends LayoutKind> = K extends LayoutKind
  ? keyof ParametersOf<K> extends never
    ? { kind: K }
    : Flat<{ kind: K } & Said<K>>
  : never;

/**
 * A layout as set somewhere: its kind and those of its parameters that are set there. What is left out
 * comes from a farther place, or from the layout's defaults.
 */
export type LayoutSetting = SettingOf<LayoutKind>;
const options = LAYOUT_KINDS.map((kind) =>
  fields({ kind: z.literal(kind), ...schemasOf(LAYOUT_PARAMETERS[kind]) }),
);
export const layoutSchema = z.discriminatedUnion('kind', options as [(typeof options)[number]], {
  error: `a layout whose kind is one of ${LAYOUT_KINDS.join(', ')}`,
}) as unknown as z.ZodType<LayoutSetting> & z.core.$ZodTypeDiscriminable;

/** The schemas of what keys move of layouts, by name. */
export const MOVED_BY_KEY = schemasOf(
  Object.fromEntries(
    LAYOUT_KINDS.flatMap((kind) =>
      Object.entries(parametersOf(kind)).filter(([, { byKey }]) => byKey),
    ),
  ),
) as MovedByKey;
type ByKey<P> = {
  [Name in keyof P as P[Name] extends { byKey: true } ? Name : never]: SchemaOf<P[Name]>;
};
type AllOf<U> = (U extends U ? (each: U) => void : never) extends (all: infer I) => void
  ? I
  : never;
type MovedByKey = Flat<AllOf<{ [K in LayoutKind]: ByKey<ParametersOf<K>> }[LayoutKind]>>;

type FieldOf<T> = T extends T ? keyof T : never;
export type LayoutField = FieldOf<LayoutSetting>;

/** Parameters without a default: the board (the first that fits) and the limit of tracks (none). */
type Undecided = 'board' | 'max';
/** A layout of a kind with its parameters decided. */
export type LayoutOf<K extends LayoutKind> = K extends LayoutKind
  ? Flat<
      Required<Omit<SettingOf<K>, Undecided>> &
        Pick<SettingOf<K>, Extract<keyof SettingOf<K>, Undecided>>
    >
  : never;
export type Layout = LayoutOf<LayoutKind>;
