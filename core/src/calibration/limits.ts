/** Flights and packs of one aircraft in one fit: some seconds' work; what was flown before the latest of them teaches nothing new. */
export const maxFlightsOfFit = 200;
export const maxPacksOfFit = 100;
