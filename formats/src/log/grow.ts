/** Numbers of which nobody knows how many come. */
export class Growing {
  private data: Float64Array;
  private count = 0;

  constructor(room = 4096) {
    this.data = new Float64Array(Math.max(16, room));
  }

  push(value: number): void {
    if (this.count === this.data.length) {
      const more = new Float64Array(2 * this.count);
      more.set(this.data);
      this.data = more;
    }
    this.data[this.count++] = value;
  }

  get length(): number {
    return this.count;
  }

  get last(): number {
    return this.count > 0 ? this.data[this.count - 1]! : NaN;
  }

  /** What was put in; shares its memory. */
  taken(): Float64Array {
    return this.data.subarray(0, this.count);
  }
}
