import { useState } from "react";

/** A choice that this device remembers; nothing of it goes to the server. */
export function useOnDevice<T>(key: string, first: T): [T, (next: T) => void] {
  const [value, setValue] = useState<T>(() => {
    const kept = localStorage.getItem(key);
    return kept === null ? first : (JSON.parse(kept) as T);
  });
  return [
    value,
    (next) => {
      localStorage.setItem(key, JSON.stringify(next));
      setValue(next);
    },
  ];
}
