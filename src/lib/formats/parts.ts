/**
 * A JSON document with one long list, for items that come so many at a time.
 *
 * @param head the fields before the list
 * @param key what the list is called
 */
export async function* jsonParts<T>(
  head: object,
  key: string,
  lists: AsyncIterable<readonly T[]>,
  item: (one: T) => object
): AsyncGenerator<string> {
  const start = JSON.stringify({ ...head, [key]: [] }).slice(0, -']}'.length);
  yield start;
  let between = '';
  for await (const list of lists) {
    if (list.length === 0) continue;
    yield between + list.map((one) => JSON.stringify(item(one))).join(',');
    between = ',';
  }
  yield ']}';
}
