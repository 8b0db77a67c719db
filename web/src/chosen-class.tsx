import { createContext, type ReactNode, useContext, useState } from "react";
import type { SchoolClass } from "./api/types";

type Choice = { chosen: SchoolClass | undefined; all: SchoolClass[]; choose: (id: string) => void };

const Context = createContext<Choice>({ chosen: undefined, all: [], choose: () => {} });
const KEY = "marble.class";

/** The class in hand, remembered on this device. */
export function useClassChoice(all: SchoolClass[]): Choice {
  const [id, setId] = useState(() => localStorage.getItem(KEY));
  const mostPupils = [...all].sort((a, b) => b.pupils.length - a.pupils.length)[0];
  return {
    all,
    chosen: all.find((c) => c.id === id) ?? mostPupils,
    choose: (next) => {
      // A lesson that was handed over belongs to no class of one's own.
      if (!all.some((c) => c.id === next)) return;
      localStorage.setItem(KEY, next);
      setId(next);
    },
  };
}

export function ChosenClass({ value, children }: { value: Choice; children: ReactNode }) {
  return <Context value={value}>{children}</Context>;
}

export const useChosenClass = () => useContext(Context);
