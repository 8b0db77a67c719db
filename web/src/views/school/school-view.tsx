import { NavLink, useParams } from "react-router";
import { Audit } from "./audit";
import { Backups } from "./backups";
import { People } from "./people";

const parts = [
  ["people", "People", People],
  ["audit", "Audit", Audit],
  ["backups", "Backups", Backups],
] as const;

/** For the administrator: who may come in, what was done, and what is kept safe. */
export function SchoolView() {
  const { part = "people" } = useParams();
  const Shown = parts.find(([id]) => id === part)?.[2] ?? People;
  return (
    <>
      <nav aria-label="School" className="mb-6 flex flex-wrap gap-2">
        {parts.map(([id, name]) => (
          <NavLink
            key={id}
            to={id === "people" ? "/school" : `/school/${id}`}
            end
            className={({ isActive }) => `btn no-underline ${isActive ? "btn-main" : ""}`}
          >
            {name}
          </NavLink>
        ))}
      </nav>
      <Shown />
    </>
  );
}
