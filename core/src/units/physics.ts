/** Standard acceleration of free fall, m/s² (ISO 80000-3; the value ISO 2533 uses). */
export const gravityMps2 = 9.80665;

/** Molar gas constant, J/(mol·K) (CODATA 2018). */
export const molarGasConstant = 8.314462618;
