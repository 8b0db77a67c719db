import { useEffect, useRef } from "react";
import { useLocation, useNavigationType } from "react-router";

/** Another page begins at its top, however far down the one before was read; going back finds it where it was. */
export function useTopOfPage() {
  const { pathname, hash } = useLocation();
  const how = useNavigationType();
  const before = useRef(pathname);
  useEffect(() => {
    if (before.current === pathname) return;
    before.current = pathname;
    if (how !== "POP" && !hash) window.scrollTo(0, 0);
  }, [pathname, how, hash]);
}
