import type { Rect, Size } from '../../geometry/rect.ts';
import type { Axis } from '../../values/direction.ts';
import type { LayoutField, LayoutKind, LayoutOf, LayoutSetting } from '../../values/layout.ts';
import type { Tree } from '../tree.ts';

/** Turning steps a parameter through some of its values. */
interface TurnOfField<K extends LayoutKind> {
  field: LayoutField;
  through: readonly string[];
  /** What is in force now, where the parameter leaves it to the area. */
  present?: (layout: LayoutOf<K>, area: Size) => string;
  /** Why it cannot be turned as it is; null where it can. */
  unless?: (layout: LayoutOf<K>) => string | null;
  /** The reason for the log. */
  says: (value: string) => string;
}
/** Turning changes it into another kind of layout. */
interface TurnOfKind<K extends LayoutKind> {
  into: (layout: LayoutOf<K>) => LayoutSetting;
}
type Turn<K extends LayoutKind> = TurnOfField<K> | TurnOfKind<K>;

/** All there is to know of a kind of layout beside its parameters. What keys can do in it is derived from this. */
export interface LayoutDefinition<K extends LayoutKind> {
  title: string;
  /** Its parameters where nothing is set. */
  defaults: LayoutOf<K>;
  form: {
    title: string;
    note?: string;
    /** What a person has to know to set it, in a sentence or two. */
    says?: string;
    /** Parameters that mean nothing as others are set. */
    hides?: Partial<Record<LayoutField, (layout: LayoutOf<K>) => boolean>>;
  };
  /** How a dividing layout divides; `area` is what is divided, after the outer gap. */
  tree?: (count: number, layout: LayoutOf<K>, area: Size) => Tree;
  /** The tiles of a layout that lets them lie over each other. `scale` is the monitor's. */
  tiles?: (count: number, layout: LayoutOf<K>, area: Rect, scale: number) => Rect[];
  /** How it is turned by key; left out where it cannot be, or where the tree made by hand is turned. */
  turn?: Turn<K>;
  /** The axis along which leads and rest stand. */
  leadAxis?: (layout: LayoutOf<K>) => Axis;
  /** A person makes its tree, and keeps it. */
  byHand?: true;
  /** Windows have zones of a board. */
  hasZones?: true;
}
