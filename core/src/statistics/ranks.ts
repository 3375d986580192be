/**
 * The place of each value in the order of all, from 0; equal values share the mean of their places. Ranks tame values
 * that lie far off, and make a bent but rising relation straight (Conover & Iman, The American Statistician 1981).
 */
export function ranks(values: readonly number[]): number[] {
  const order = values.map((_, i) => i).sort((a, b) => (values[a] as number) - (values[b] as number));
  const places: number[] = new Array(values.length).fill(0);
  for (let from = 0; from < order.length; ) {
    let to = from;
    while (to + 1 < order.length && values[order[to + 1] as number] === values[order[from] as number]) to++;
    for (let i = from; i <= to; i++) places[order[i] as number] = (from + to) / 2;
    from = to + 1;
  }
  return places;
}
