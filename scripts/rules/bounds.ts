import { z } from 'zod';

/** A schema of JSON as Zod writes it, as far as its bounds are read here. */
type JsonSchema = {
  readonly type?: string;
  readonly properties?: Readonly<Record<string, JsonSchema>>;
  readonly items?: JsonSchema;
  readonly prefixItems?: readonly JsonSchema[];
  readonly additionalProperties?: JsonSchema | boolean;
  readonly propertyNames?: JsonSchema;
  readonly anyOf?: readonly JsonSchema[];
  readonly oneOf?: readonly JsonSchema[];
  readonly allOf?: readonly JsonSchema[];
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
} & Readonly<Partial<Record<(typeof BOUNDS)[number], number | string>>>;

const BOUNDS = [
  'minimum',
  'exclusiveMinimum',
  'maximum',
  'exclusiveMaximum',
  'minLength',
  'maxLength',
  'minItems',
  'maxItems',
  'format',
] as const;

function valueWords(schema: JsonSchema): string {
  const bounds = BOUNDS.flatMap((name) =>
    schema[name] === undefined ? [] : [`${name} ${schema[name]}`],
  );
  const values = schema.enum ?? (schema.const === undefined ? [] : [schema.const]);
  return [schema.type ?? '', ...bounds, values.map(String).join(' · ')].filter(Boolean).join(', ');
}

type Place = { readonly path: string; readonly says: string };

function walk(path: string, schema: JsonSchema): Place[] {
  const parts = [...(schema.anyOf ?? []), ...(schema.oneOf ?? []), ...(schema.allOf ?? [])];
  const { additionalProperties: rest } = schema;
  return [
    { path, says: valueWords(schema) },
    ...parts.flatMap((part, index) => walk(`${path}|${index + 1}`, part)),
    ...Object.entries(schema.properties ?? {}).flatMap(([name, part]) =>
      walk(`${path}.${name}`, part),
    ),
    ...(schema.items ? walk(`${path}[]`, schema.items) : []),
    ...(schema.prefixItems ?? []).flatMap((part, index) => walk(`${path}[${index}]`, part)),
    ...(schema.propertyNames ? walk(`${path}{name}`, schema.propertyNames) : []),
    ...(rest && typeof rest === 'object' ? walk(`${path}{}`, rest) : []),
  ];
}

/**
 * Every bound of a record, one line for each place in it: of how it is taken in and how it is kept,
 * the one that says more, since a text is trimmed and shortened between the two.
 */
export function boundsOf(name: string, schema: z.ZodType): string[] {
  const lines = new Map<string, string>();
  for (const io of ['input', 'output'] as const) {
    const json = z.toJSONSchema(schema, { io, unrepresentable: 'any', reused: 'inline' });
    for (const { path, says } of walk(name, json as JsonSchema))
      if (says.length > (lines.get(path)?.length ?? 0)) lines.set(path, says);
  }
  return [...lines]
    .filter(([, says]) => says.includes(', '))
    .map(([path, says]) => `${path}: ${says}`);
}
