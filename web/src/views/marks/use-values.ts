import { useCallback, useEffect, useRef, useState } from "react";

export type Values = Record<string, unknown>;

/**
 * The values of one working. They stand in the address, so that its link opens it again as it is; what the address does not say is
 * prefilled.
 */
export function useValues<T extends Values>(prefilled: T): [T, (patch: Partial<T>) => void] {
  const [values, setValues] = useState(() => fromAddress(prefilled, new URLSearchParams(window.location.search)));
  const change = useCallback((patch: Partial<T>) => setValues((v) => ({ ...v, ...patch })), []);
  const first = useRef(true);
  useEffect(() => {
    if (first.current) {
      first.current = false;
      return;
    }
    // Browsers take only so many addresses a second: while something is dragged the address waits.
    const later = setTimeout(() => window.history.replaceState(window.history.state, "", link(values)), 250);
    return () => clearTimeout(later);
  }, [values]);
  return [values, change];
}

/** The address that opens a working with these values. */
export function link(values: Values): string {
  const params = new URLSearchParams();
  for (const [key, value] of Object.entries(values))
    params.set(key, typeof value === "string" ? value : JSON.stringify(value));
  return `${window.location.pathname}?${params}`;
}

/** What the address says, where it is of the kind that is prefilled; anything else in it is left aside. */
export function fromAddress<T extends Values>(prefilled: T, params: URLSearchParams): T {
  const values: Values = { ...prefilled };
  for (const [key, usual] of Object.entries(prefilled)) {
    const said = params.get(key);
    if (said === null) continue;
    if (typeof usual === "string") values[key] = said;
    else {
      try {
        const value: unknown = JSON.parse(said);
        if (alike(value, usual)) values[key] = value;
      } catch {
        // Not ours: what is prefilled stays.
      }
    }
  }
  return values as T;
}

function alike(value: unknown, usual: unknown): boolean {
  if (usual === null || typeof usual === "number") return value === null || typeof value === "number";
  return typeof value === typeof usual && Array.isArray(value) === Array.isArray(usual) && value !== null;
}
