/** A value that is made when it is first asked for, and then no more. */
export function once<Value>(make: () => Value): () => Value {
  let made: { readonly value: Value } | null = null;
  return () => {
    made ??= { value: make() };
    return made.value;
  };
}
