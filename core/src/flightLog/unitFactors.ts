/** Exact by definition (international yard and pound agreement 1959; SI brochure). */
export const feet = 0.3048;
export const mile = 1609.344;
export const knot = 1852 / 3600;
export const kmh = 1 / 3.6;
