import { type FullReturn, inSi, numbersOf, toldInSi } from '@acorn-tally/core';

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
      action: toldInSi(way.action),
      caution: toldInSi(way.caution),
    })),
    timetable: timetable.map((one) => ({
      ...one,
      says: toldInSi(one.says),
      caution: one.caution && toldInSi(one.caution),
    })),
    mind: mind.map(inSi),
    tooLow: tooLow && toldInSi(tooLow),
  };
}
