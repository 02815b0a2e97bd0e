import { z } from 'zod';
import { words } from '#core/document';
import { MAX_CUSTOM_NAME, customKindName, PROP_KIND_NAMES, propKind, type CustomKindName } from './kinds';

const LONGEST_CM = 300;

const centimetres = (what: string, least: number, most = LONGEST_CM) =>
  z
    .number(`${what} is a number of centimetres.`)
    .min(least, `${what} is at least ${least} cm.`)
    .max(most, `${what} is at most ${most} cm.`);

/** The size of a custom piece as it lies, in centimetres, and whether it is round. */
export const CustomSize = z
  .strictObject({
    shape: z.enum(['box', 'roll']),
    widthCm: centimetres('The length', 1),
    depthCm: centimetres('The depth', 1),
    heightCm: centimetres('The height', 0.2, 100),
    giveCm: centimetres('Its softness', 0, 50),
  })
  .refine(({ heightCm, giveCm }) => giveCm < heightCm, {
    path: ['giveCm'],
    message: 'It cannot sink by its whole height. Enter how far it sinks under a body.',
  });
export type CustomSize = z.infer<typeof CustomSize>;

export const MAX_FACES = 6;

/** A custom kind of prop: a name, and each fold or face it can lie in. */
export const CustomKind = z
  .strictObject({
    label: words('A name', MAX_CUSTOM_NAME),
    faces: z
      .array(z.strictObject({ label: words('A fold or face', 40), size: CustomSize }))
      .min(1, 'A prop lies in one way at least.')
      .max(MAX_FACES, `At most ${MAX_FACES} folds or faces.`),
  })
  .superRefine(({ label, faces }, context) => {
    const known = PROP_KIND_NAMES.map((name) => propKind(name)).find(
      (kind) => kind.label === label.trim().toLowerCase(),
    );
    if (known)
      context.addIssue({
        code: 'custom',
        path: ['label'],
        message: `There is a ${known.label} already. Choose another name.`,
      });
    for (const [i, face] of faces.entries()) {
      if (faces.findIndex((other) => other.label === face.label) < i)
        context.addIssue({
          code: 'custom',
          path: ['faces', i, 'label'],
          message: `Two faces are called “${face.label}”.`,
        });
    }
  });
export type CustomKind = z.infer<typeof CustomKind>;

/** The name by which rows of a set-up know a custom kind. */
export const customKindLabel = ({ label }: CustomKind): CustomKindName => customKindName(label);
