/** A point or direction: forward, up and to the person's right, in centimetres. */
export type Vec = readonly [x: number, y: number, z: number];

/** A rotation as a unit quaternion. */
export type Turn = readonly [x: number, y: number, z: number, w: number];

export const add = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const minus = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vec, by: number): Vec => [a[0] * by, a[1] * by, a[2] * by];
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/** How long something is; `Math.hypot` guards against numbers no body reaches, and takes many times as long. */
export const lengthOf = (x: number, y: number, z = 0): number => Math.sqrt(x * x + y * y + z * z);
export const size = (a: Vec): number => lengthOf(a[0], a[1], a[2]);
export const between = (a: Vec, b: Vec, share: number): Vec => add(a, scale(minus(b, a), share));

export function cross(a: Vec, b: Vec): Vec {
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}

/** The same direction, one long; `otherwise` where there is none. */
export function unit(a: Vec, otherwise: Vec = [1, 0, 0]): Vec {
  const length = size(a);
  return length < 1e-9 ? otherwise : scale(a, 1 / length);
}

/** What is left of a direction when its part along `axis` (one long) is taken out. */
export function across(a: Vec, axis: Vec): Vec {
  return minus(a, scale(axis, dot(a, axis)));
}

/** A rotation by so many degrees round an axis one long, right-handed. */
export function about(axis: Vec, degrees: number): Turn {
  const half = (degrees * Math.PI) / 360;
  const sine = Math.sin(half);
  return [axis[0] * sine, axis[1] * sine, axis[2] * sine, Math.cos(half)];
}

/** First `b`, then `a`: `turn(compose(a, b), v)` is `turn(a, turn(b, v))`. */
export function compose(a: Turn, b: Turn): Turn {
  const [ax, ay, az, aw] = a;
  const [bx, by, bz, bw] = b;
  return [
    aw * bx + ax * bw + ay * bz - az * by,
    aw * by - ax * bz + ay * bw + az * bx,
    aw * bz + ax * by - ay * bx + az * bw,
    aw * bw - ax * bx - ay * by - az * bz,
  ];
}

export const inverse = ([x, y, z, w]: Turn): Turn => [-x, -y, -z, w];

export function turn(by: Turn, v: Vec): Vec {
  const axis: Vec = [by[0], by[1], by[2]];
  const twice = scale(cross(axis, v), 2);
  return add(add(v, scale(twice, by[3])), cross(axis, twice));
}

/** The shorter way from one rotation to another, at an even pace. */
export function slerp(a: Turn, b: Turn, share: number): Turn {
  let cosine = a[0] * b[0] + a[1] * b[1] + a[2] * b[2] + a[3] * b[3];
  const sign = cosine < 0 ? -1 : 1;
  cosine = Math.min(1, cosine * sign);
  const angle = Math.acos(cosine);
  const sine = Math.sin(angle);
  const from = sine < 1e-6 ? 1 - share : Math.sin((1 - share) * angle) / sine;
  const to = (sine < 1e-6 ? share : Math.sin(share * angle) / sine) * sign;
  const mixed: Turn = [
    from * a[0] + to * b[0],
    from * a[1] + to * b[1],
    from * a[2] + to * b[2],
    from * a[3] + to * b[3],
  ];
  const [x, y, z, w] = mixed;
  const length = Math.sqrt(x * x + y * y + z * z + w * w) || 1;
  return [x / length, y / length, z / length, w / length];
}
