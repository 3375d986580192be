/** Flights and packs of one aircraft in one fit: some seconds' work; what was flown before the latest of them teaches nothing new. */
export const mostFlightsOfFit = 200;
export const mostPacksOfFit = 100;
