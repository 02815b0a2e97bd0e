// The page forbids code made from text. This tells zod, before it is loaded, not to try.
globalThis.__zod_globalConfig = { jitless: true };
