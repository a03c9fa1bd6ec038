/**
 * A number of things in words: "1 window", "3 windows".
 * @param many the word for more than one, where it is not made by an s
 */
export function countText(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}
