/**
 * A short text by which contents are told apart: Fowler, Noll and Vo's FNV-1a in two lanes of 32 bits. It keeps no secret. Equal contents
 * have equal ones, whatever the pieces they come in.
 */
export class Fingerprint {
  private one = 0x811c9dc5;
  private two = 0x01000193;

  /** Bytes, or the code units of a text. */
  add(units: ArrayLike<number>): this {
    let { one, two } = this;
    for (let i = 0; i < units.length; i++) {
      const unit = units[i] as number;
      one = Math.imul(one ^ unit, 0x01000193);
      two = Math.imul(two ^ unit, 0x85ebca6b);
    }
    this.one = one;
    this.two = two;
    return this;
  }

  /** Sixteen hexadecimal digits. */
  text(): string {
    const hex = (value: number) => (value >>> 0).toString(16).padStart(8, '0');
    return `${hex(this.one)}${hex(this.two)}`;
  }
}

export function fingerprint(text: string): string {
  return new Fingerprint()
    .add(Uint16Array.from({ length: text.length }, (_, i) => text.charCodeAt(i)))
    .text();
}
