/** Modes of files and folders that only their owner can read: people's health notes may be in them. */
export const OWNER_ONLY = 0o600;
export const OWNER_ONLY_FOLDER = 0o700;
