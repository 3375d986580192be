/** Says with which seed the day's cases are drawn; ACORN_TALLY_SEED draws those of another day again. */
export default function printSeed() {
  process.env.ACORN_TALLY_SEED ??= new Date().toISOString().slice(0, 10).replace(/-/g, '');
  console.log(`\nSeed of the day: ${process.env.ACORN_TALLY_SEED}`);
}
