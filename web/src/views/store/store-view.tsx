import { NavLink, useParams } from "react-router";
import { Classes } from "./classes";
import { KitStoreView } from "./kit-store";
import { Spaces } from "./spaces";

const parts = [
  ["classes", "Classes", Classes],
  ["spaces", "Spaces", Spaces],
  ["kit", "Kit", KitStoreView],
] as const;

/** What there is: classes with their pupils, spaces, kit. */
export function StoreView() {
  const { part = "classes" } = useParams();
  const Shown = parts.find(([id]) => id === part)?.[2] ?? Classes;
  return (
    <>
      <nav aria-label="Store" className="mb-6 flex flex-wrap gap-2">
        {parts.map(([id, name]) => (
          <NavLink
            key={id}
            to={id === "classes" ? "/store" : `/store/${id}`}
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
