import { useEffect } from "react";

/** Keeps the screen awake where the browser allows. */
export function useWakeLock(on: boolean) {
  useEffect(() => {
    if (!on || !("wakeLock" in navigator)) return;
    const lock = navigator.wakeLock.request("screen").catch(() => undefined);
    return () => {
      lock.then((l) => l?.release());
    };
  }, [on]);
}
