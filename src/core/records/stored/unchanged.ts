import type { z } from 'zod';

type Check = (value: unknown) => boolean;

/** What is not known here is left to the schema itself. */
const unknown: Check = () => false;

/**
 * Whether a schema would give a value back just as it is. Rows are read by the ten thousand, and a schema
 * makes each anew, piece by piece: what plainly is what it promises need not be. Whoever is told no asks the
 * schema, which may still take the value, or change it, or say what is wrong.
 *
 * @example unchangedBy(z.object({ reps: z.number() }))({ reps: 10 }) // true
 * @example unchangedBy(z.object({ reps: z.number() }))({ reps: 10, more: 1 }) // false: it would be left out
 */
export function unchangedBy<T>(schema: z.ZodType<T>): (value: unknown) => value is T {
  return checkOf(schema) as (value: unknown) => value is T;
}

function checkOf(schema: z.core.$ZodType): Check {
  const { def } = (schema as z.core.$ZodTypes)._zod;
  if (def.checks !== undefined && def.checks.length > 0) return unknown;
  switch (def.type) {
    case 'string':
      return (value) => typeof value === 'string';
    case 'number':
      return Number.isFinite;
    case 'boolean':
      return (value) => typeof value === 'boolean';
    case 'nullable': {
      const inner = checkOf(def.innerType);
      return (value) => value === null || inner(value);
    }
    case 'optional': {
      const inner = checkOf(def.innerType);
      return (value) => value === undefined || inner(value);
    }
    case 'enum': {
      const entries = new Set<unknown>(Object.values(def.entries));
      return (value) => entries.has(value);
    }
    case 'custom':
      return (value) => Boolean(def.fn(value));
    case 'array':
      return everyIs(checkOf(def.element));
    case 'object':
      return def.catchall === undefined ? hasJust(def.shape) : unknown;
    default:
      return unknown;
  }
}

function everyIs(element: Check): Check {
  return (value) => {
    if (!Array.isArray(value)) return false;
    for (const one of value) if (!element(one)) return false;
    return true;
  };
}

/** All that a shape asks for, and nothing more. */
function hasJust(shape: z.core.$ZodShape): Check {
  const keys = Object.keys(shape);
  const checks = Object.values(shape).map(checkOf);
  return (value) => {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    const given = value as Readonly<Record<string, unknown>>;
    let asked = 0;
    for (let at = 0; at < keys.length; at += 1) {
      const one = given[keys[at] as string];
      if (!checks[at]?.(one)) return false;
      if (one !== undefined) asked += 1;
    }
    return Object.keys(given).length === asked;
  };
}
