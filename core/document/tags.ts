import { z } from 'zod';

const TAG_LIMITS = { maxTag: 40, maxTags: 12 } as const;

/** A word or two that something is found by: a term, a theme, who comes. */
export const Tag = z
  .string()
  .regex(/^\S(.*\S)?$/u, 'A tag is a word or a short phrase, with no spaces before or after it.')
  .max(TAG_LIMITS.maxTag, `A tag has at most ${TAG_LIMITS.maxTag} characters.`);

/** Two tags that differ in capitals alone are one tag. */
export const sameTag = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

/** The tags of a plan, or of whatever else `noun` calls; each of them once. */
export const tagsOf = (noun: string) =>
  z
    .array(Tag)
    .max(TAG_LIMITS.maxTags, `A ${noun} has at most ${TAG_LIMITS.maxTags} tags.`)
    .superRefine((tags, context) => {
      for (const [index, tag] of tags.entries()) {
        if (!tags.slice(0, index).some((earlier) => sameTag(earlier, tag))) continue;
        context.addIssue({ code: 'custom', path: [index], message: `The ${noun} has the tag “${tag}” already.` });
      }
    });
