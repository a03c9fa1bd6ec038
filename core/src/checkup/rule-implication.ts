import type { Condition, When } from '../model/rule.ts';
import { isAboutText, sourceOf } from '../rules/facts.ts';
import { hasPattern } from '../values/pattern.ts';

/**
 * True when every window that matches `narrow` certainly matches `broad`. False means unknown: patterns are not
 * compared with each other.
 *
 * @param broad the conditions that may follow
 * @param narrow the conditions that are known to hold
 */
export function impliedBy(broad: When, narrow: When): boolean {
  const all = broad.all.every((condition) => isImplied(condition, narrow));
  const none = broad.none.every((condition) =>
    narrow.none.some((other) => implies(condition, other)),
  );
  const any =
    broad.any.length === 0 ||
    broad.any.some((condition) => isImplied(condition, narrow)) ||
    (narrow.any.length > 0 &&
      narrow.any.every((each) => broad.any.some((condition) => implies(each, condition))));
  return all && none && any;
}

/** True when a condition holds wherever all of another set hold. */
function isImplied(condition: Condition, { all, any }: When): boolean {
  return (
    all.some((each) => implies(each, condition)) ||
    (any.length > 0 && any.every((each) => implies(each, condition)))
  );
}

/** True when one condition holds wherever another does. */
function implies(holding: Condition, condition: Condition): boolean {
  if (holding.of !== condition.of) return false;
  if (isSame(holding, condition)) return true;
  if (isAboutText(holding) && isAboutText(condition)) {
    const source = sourceOf(condition);
    if ('has' in condition && 'is' in holding && isByItself(condition.of)) {
      return holding.is.toLowerCase().includes(condition.has.toLowerCase());
    }
    return (
      isByItself(condition.of) &&
      'is' in holding &&
      source !== null &&
      hasPattern(holding.is, source)
    );
  }
  if (isLength(holding) && isLength(condition)) {
    return (
      (holding.from ?? 0) >= (condition.from ?? 0) &&
      (holding.to ?? Infinity) <= (condition.to ?? Infinity)
    );
  }
  return false;
}

/** A desk or a workspace can be called by its id or by its name, so two different texts may mean the same one. */
function isByItself(of: Condition['of']): boolean {
  return of !== 'desk' && of !== 'workspace';
}

/** Many pairs are compared: no text is made for it. */
function isSame(a: Condition, b: Condition): boolean {
  const [first, second] = [a, b] as [Record<string, unknown>, Record<string, unknown>];
  const keys = Object.keys(first);
  return (
    keys.length === Object.keys(second).length && keys.every((key) => first[key] === second[key])
  );
}

function isLength(
  condition: Condition,
): condition is Extract<Condition, { of: 'width' | 'height' }> {
  return condition.of === 'width' || condition.of === 'height';
}
