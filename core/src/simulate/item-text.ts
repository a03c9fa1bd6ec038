import { expectationText } from './expectation-text.ts';
import { stepText } from './script.ts';
import type { TryItem } from './trial-subject.ts';

/** One thing of a try, in words. */
export function itemText(item: TryItem): string {
  if ('expect' in item) return expectationText(item.expect);
  if ('pull' in item) return `${item.pull} pulled, and plugged in again`;
  const { step } = item;
  if ('mark' in step) return `mark ${step.mark}`;
  return 'same' in step ? `same ${step.same}` : stepText(step);
}
