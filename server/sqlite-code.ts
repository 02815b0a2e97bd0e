/** What SQLite calls an error, wherever Sequelize has wrapped it: `SQLITE_BUSY`. */
export function sqliteCode(error: unknown): string | undefined {
  const { code, original, parent } = error as { code?: string; original?: unknown; parent?: unknown };
  if (typeof code === 'string' && code.startsWith('SQLITE_')) return code;
  return original ? sqliteCode(original) : parent && parent !== error ? sqliteCode(parent) : undefined;
}
