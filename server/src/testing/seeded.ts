/** Numbers from 0 up to below 1, the same for the same seed. */
export function seeded(seed: number): () => number {
  let at = seed * 2_654_435_761;
  return () => {
    at = (Math.imul(at ^ (at >>> 15), 2_246_822_519) + 0x9e3779b9) >>> 0;
    return ((at ^ (at >>> 13)) >>> 0) / 4_294_967_296;
  };
}
