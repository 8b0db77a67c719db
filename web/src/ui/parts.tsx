import type { ComponentType } from "react";
import { NavLink, useParams } from "react-router";

/** A view of several parts, each with an address of its own; the first is shown where none is named. */
export function Parts({ name, at, parts }: { name: string; at: string; parts: readonly [Part, ...Part[]] }) {
  const [first] = parts;
  const { part } = useParams();
  const Shown = (parts.find(([id]) => id === part) ?? first)[2];
  return (
    <>
      <nav aria-label={name} className="mb-6 flex flex-wrap gap-2">
        {parts.map(([id, title]) => (
          <NavLink
            key={id}
            to={id === first[0] ? at : `${at}/${id}`}
            end
            className={({ isActive }) => `btn no-underline ${isActive ? "btn-main" : ""}`}
          >
            {title}
          </NavLink>
        ))}
      </nav>
      <Shown />
    </>
  );
}

type Part = readonly [id: string, title: string, shown: ComponentType];
