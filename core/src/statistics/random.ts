/**
 * Numbers from 0 up to 1 that look random, the same for the same seed: a 32-bit counter whose bits are mixed by multiplications
 * and shifts (mulberry32, common practice). For searches; draws of a belief are Sobol points.
 */
export function randomNumbers(seed: number): () => number {
  let counter = seed >>> 0;
  return () => {
    counter = (counter + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(counter ^ (counter >>> 15), counter | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** The same things in another order. */
export function shuffled<Item>(items: readonly Item[], random: () => number): Item[] {
  const mixed = [...items];
  for (let i = mixed.length - 1; i > 0; i--) {
    const other = Math.floor(random() * (i + 1));
    [mixed[i], mixed[other]] = [mixed[other] as Item, mixed[i] as Item];
  }
  return mixed;
}
