import { useEffect, useRef, useState } from "react";

/** Whether a part of the page has been in sight, or nearly; once seen it stays so. Printing sees everything. */
export function useSeen<E extends HTMLElement>() {
  const ref = useRef<E>(null);
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    const part = ref.current;
    if (!part || seen) return;
    const see = () => setSeen(true);
    const watch = new IntersectionObserver((parts) => parts.some((p) => p.isIntersecting) && see(), {
      rootMargin: "300px",
    });
    watch.observe(part);
    window.addEventListener("beforeprint", see);
    return () => {
      watch.disconnect();
      window.removeEventListener("beforeprint", see);
    };
  }, [seen]);
  return [ref, seen] as const;
}
