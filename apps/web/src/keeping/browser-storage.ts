/** The little that is kept by name beside the database: preferences and ticks. */
type NamedStorage = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** The browser's own storage, or memory where it is forbidden: even asking for it may throw. */
export function browserStorage(): NamedStorage {
  try {
    return globalThis.localStorage;
  } catch {
    return inMemory();
  }
}

function inMemory(): NamedStorage {
  const kept = new Map<string, string>();
  return {
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
    removeItem: (key) => void kept.delete(key),
  };
}
