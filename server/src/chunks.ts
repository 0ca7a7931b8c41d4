/** A list in parts of at most `size`: what one statement of the database takes. */
export function chunks<T>(list: readonly T[], size = 500): T[][] {
  return Array.from({ length: Math.ceil(list.length / size) }, (_, i) =>
    list.slice(i * size, (i + 1) * size),
  );
}
