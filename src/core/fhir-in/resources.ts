import { z } from 'zod';

/**
 * The part of FHIR R4 (hl7.org/fhir/R4) that is read of other systems: everything else in a resource is
 * passed over. Every text is bounded, so that nothing is shown or stored that has no end.
 */
const text = z.string().max(2000);
const Coding = z.object({
  system: text.optional(),
  code: text.optional(),
  display: text.optional(),
});
const Concept = z.object({ coding: z.array(Coding).max(50).optional(), text: text.optional() });
export type Concept = z.infer<typeof Concept>;
const Quantity = z.object({
  value: z.number().optional(),
  comparator: text.optional(),
  unit: text.optional(),
  system: text.optional(),
  code: text.optional(),
});
export type Quantity = z.infer<typeof Quantity>;
const Value = {
  valueQuantity: Quantity.optional(),
  valueInteger: z.number().optional(),
};

export const PatientResource = z.object({
  resourceType: z.literal('Patient'),
  id: text.optional(),
  identifier: z
    .array(z.object({ value: text.optional() }))
    .max(50)
    .optional(),
  name: z
    .array(
      z.object({
        use: text.optional(),
        text: text.optional(),
        family: text.optional(),
        given: z.array(text).max(20).optional(),
      }),
    )
    .max(50)
    .optional(),
  telecom: z
    .array(z.object({ system: text.optional(), value: text.optional(), use: text.optional() }))
    .max(50)
    .optional(),
  gender: text.optional(),
  birthDate: text.optional(),
  managingOrganization: z.object({ display: text.optional() }).optional(),
});
export type PatientResource = z.infer<typeof PatientResource>;

export const ObservationResource = z.object({
  resourceType: z.literal('Observation'),
  id: text.optional(),
  status: text.optional(),
  code: Concept,
  subject: z.object({ reference: text.optional() }).optional(),
  effectiveDateTime: text.optional(),
  effectiveInstant: text.optional(),
  effectivePeriod: z.object({ start: text.optional() }).optional(),
  bodySite: Concept.optional(),
  ...Value,
  component: z
    .array(z.object({ code: Concept, ...Value }))
    .max(100)
    .optional(),
});
export type ObservationResource = z.infer<typeof ObservationResource>;

/** What is in a file: a bundle of resources, or one of them. */
export const Holder = z.object({
  resourceType: text,
  entry: z
    .array(z.object({ fullUrl: text.optional(), resource: z.unknown().optional() }))
    .max(5000)
    .optional(),
});
