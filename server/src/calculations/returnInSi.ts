import { type FullReturn, inSi, numbersOf, writeInSi } from '@acorn-tally/core';

/** The way home as programs get it: whatever it says, in SI. */
export function returnInSi(answer: FullReturn) {
  const { home, waysOut, timetable, mind, tooLow } = answer;
  return {
    ...answer,
    home: {
      ...home,
      notHome: home.notHome && { ...inSi(home.notHome), numbers: numbersOf(home.notHome) },
    },
    waysOut: waysOut.map((way) => ({
      ...way,
      action: writeInSi(way.action),
      caution: writeInSi(way.caution),
    })),
    timetable: timetable.map((one) => ({
      ...one,
      says: writeInSi(one.says),
      caution: one.caution && writeInSi(one.caution),
    })),
    mind: mind.map(inSi),
    tooLow: tooLow && writeInSi(tooLow),
  };
}
