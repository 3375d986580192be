/** A map, whether or not it holds on to its keys. */
interface Held<Key, Value> {
  get(key: Key): Value | undefined;
  set(key: Key, value: Value): unknown;
}

/** What a map holds by a key, made where it does not yet; no value is undefined. */
export function getOrCreate<Key, Value>(map: Held<Key, Value>, key: Key, make: () => Value): Value {
  const known = map.get(key);
  if (known !== undefined) return known;
  const made = make();
  map.set(key, made);
  return made;
}
