/** A name as a part of an address, with a number behind it where that is taken. */
export async function freeSlug(
  name: string,
  isTaken: (slug: string) => Promise<boolean>,
): Promise<string> {
  const slug =
    name
      .normalize('NFKD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 40) || 'profile';
  for (let number = 1; ; number++) {
    const id = number === 1 ? slug : `${slug}-${number}`;
    if (!(await isTaken(id))) return id;
  }
}
