import { Parts } from "../../ui/parts";
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
  return <Parts name="Store" at="/store" parts={parts} />;
}
