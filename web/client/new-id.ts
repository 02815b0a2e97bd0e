/** An id for something new: no other device makes the same one. */
export const newId = (): string => crypto.randomUUID();
