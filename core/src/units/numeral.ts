/** How numbers are written where the reader lives: the mark before decimals, and the one between thousands if there is one. */
export interface NumberMarks {
  readonly decimal: string;
  readonly group: string | null;
}

/** For files, which have no locale: a point is a decimal point, and no mark stands for thousands without doubt. */
export const plainMarks: NumberMarks = { decimal: '.', group: null };

/** The marks of a locale such as "de-CH" (Unicode CLDR, by the engine). */
export function numberMarksOf(locale: string): NumberMarks {
  const parts = new Intl.NumberFormat(locale, { useGrouping: true }).formatToParts(1_234_567.8);
  const mark = (type: string) => parts.find((part) => part.type === type)?.value ?? null;
  return { decimal: mark('decimal') ?? '.', group: mark('group') };
}

/** A number, two numbers it may be, or null where it is none. */
export type Numeral = { readonly value: number } | { readonly either: readonly [number, number] } | null;

const grouped = (mark: string) => new RegExp(`^[1-9]\\d{0,2}(?:${mark}\\d{3})+$`);
const spaced = /^([1-9]\d{0,2}(?:[ '’]\d{3})+)(?:[.,](\d+))?$/;
const mixed = [/^([1-9]\d{0,2}(?:,\d{3})+)\.(\d+)$/, /^([1-9]\d{0,2}(?:\.\d{3})+),(\d+)$/];

/**
 * Reads digits with their marks, as a whole or not at all. What can only be one number is that number in any locale: "62,5",
 * "1.234,5", "1 200". One mark before just three digits goes by the locale: "1,200" is 1200 in English and 1.2 in German;
 * where the locale uses the mark for neither, it may be either.
 */
export function readNumeral(text: string, marks: NumberMarks): Numeral {
  const plain = text.replace(/[\s\u00a0\u202f]/g, ' ').replace('−', '-');
  const [, sign = '', digits = ''] = /^([+-]?)(.*)$/.exec(plain) ?? [];
  const size = unsigned(digits, marks);
  if (sign !== '-' || size === null) return size;
  return 'value' in size ? { value: -size.value } : { either: [-size.either[0], -size.either[1]] };
}

function unsigned(digits: string, marks: NumberMarks): Numeral {
  if (/^(\d+\.?\d*|\.\d+)e[+-]?\d+$/i.test(digits)) return { value: Number(digits) };
  const whole = [spaced, ...mixed].map((form) => form.exec(digits)).find((match) => match !== null);
  if (whole) return { value: Number(`${(whole[1] as string).replace(/\D/g, '')}.${whole[2] ?? 0}`) };
  if (/^\d+$/.test(digits)) return { value: Number(digits) };
  if (/^[^.,]*(,[^.,]*,|\.[^.,]*\.)/.test(digits)) {
    const isGrouped = grouped(',').test(digits) || grouped('\\.').test(digits);
    return isGrouped ? { value: Number(digits.replace(/\D/g, '')) } : null;
  }
  const single = /^(\d*)([.,])(\d*)$/.exec(digits);
  if (!single || digits.length < 2) return null;
  const [, before = '', mark = '', after = ''] = single;
  const decimal = Number(`${before || 0}.${after || 0}`);
  const mayBeThousands = /^[1-9]\d{0,2}$/.test(before) && after.length === 3;
  if (!mayBeThousands || mark === marks.decimal) return { value: decimal };
  const thousands = Number(before + after);
  return mark === marks.group ? { value: thousands } : { either: [decimal, thousands] };
}
