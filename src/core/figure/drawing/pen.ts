/** A place on the sheet, in cm. */
export type Point = readonly [x: number, y: number];

/** Numbers are written in millimetres and at most so large, either way: wider than any picture. */
const MOST = 8000;
const WRITTEN: string[] = [];

/** Tenths as SVG writes them shortest: `12.3`, `-.4`, `7`. Kept, since a body writes thousands. */
function tenths(value: number): string {
  const at = value + MOST;
  const known = WRITTEN[at];
  if (known !== undefined) return known;
  const text = (value / 10).toString().replace(/^(-?)0\./, '$1.');
  if (at >= 0 && at <= 2 * MOST) WRITTEN[at] = text === '-0' ? '0' : text;
  return text === '-0' ? '0' : text;
}

/** Whole millimetres; a nought is never negative. */
const mm = (cm: number) => Math.round(cm * 10) + 0;

/**
 * Writes SVG's path notation, each step from the one before: shorter than absolute places, and without
 * drift, since it steps between rounded places. In centimetres, to a millimetre.
 */
export class Pen {
  private text = '';
  private x = 0;
  private y = 0;

  move([x, y]: Point): this {
    this.x = mm(x);
    this.y = mm(y);
    this.text += `M${tenths(this.x)}${this.spaced(this.y)}`;
    return this;
  }

  line([x, y]: Point): this {
    const [dx, dy] = [mm(x) - this.x, mm(y) - this.y];
    if (dx === 0 && dy === 0) return this;
    this.text += `l${tenths(dx)}${this.spaced(dy)}`;
    this.x += dx;
    this.y += dy;
    return this;
  }

  curve([ax, ay]: Point, [bx, by]: Point, [x, y]: Point): this {
    const { x: fx, y: fy } = this;
    const [dx, dy] = [mm(x) - fx, mm(y) - fy];
    this.text +=
      `c${tenths(mm(ax) - fx)}${this.spaced(mm(ay) - fy)}${this.spaced(mm(bx) - fx)}` +
      `${this.spaced(mm(by) - fy)}${this.spaced(dx)}${this.spaced(dy)}`;
    this.x += dx;
    this.y += dy;
    return this;
  }

  /** Along a circle of a radius, against the clock. */
  arc(radius: number, large: boolean, [x, y]: Point): this {
    const [dx, dy] = [mm(x) - this.x, mm(y) - this.y];
    if (dx === 0 && dy === 0) return this;
    const r = tenths(Math.max(1, mm(radius)));
    this.text += `a${r} ${r} 0 ${large ? 1 : 0} 0${this.spaced(dx)}${this.spaced(dy)}`;
    this.x += dx;
    this.y += dy;
    return this;
  }

  close(): this {
    this.text += 'z';
    return this;
  }

  toString(): string {
    return this.text;
  }

  private spaced(value: number): string {
    return value < 0 ? tenths(value) : ` ${tenths(value)}`;
  }
}
