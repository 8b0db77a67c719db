import { useLayoutEffect, useRef, useState } from "react";

/** The width of an element in CSS pixels, followed as it changes. */
export function useWidth<T extends Element>(): [React.RefObject<T | null>, number] {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    setWidth(element.getBoundingClientRect().width);
    const observer = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, width];
}

/** Whether the screen is a phone's; followed as it turns. */
export function useNarrow(): boolean {
  const [narrow, setNarrow] = useState(() => window.innerWidth < 600);
  useLayoutEffect(() => {
    const follow = () => setNarrow(window.innerWidth < 600);
    window.addEventListener("resize", follow);
    return () => window.removeEventListener("resize", follow);
  }, []);
  return narrow;
}
