import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import type { ReactNode } from "react";
import { texts } from "../words/texts";

const t = texts("ui");

/** A dialog with a painted edge. */
export function Sheet({
  title,
  open,
  onOpenChange,
  children,
  night,
  wide,
}: {
  title: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  children: ReactNode;
  night?: boolean;
  wide?: boolean;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/55" />
        <Dialog.Content
          aria-describedby={undefined}
          onOpenAutoFocus={(e) => {
            // What is to be filled in comes first, not the way out.
            const field =
              e.currentTarget instanceof HTMLElement &&
              e.currentTarget.querySelector<HTMLElement>("[data-first], input");
            if (!field) return;
            e.preventDefault();
            field.focus();
          }}
          className={`fixed top-1/2 left-1/2 z-50 flex max-h-[92dvh] -translate-x-1/2 -translate-y-1/2 flex-col border-t-8 border-throw p-6 ${night ? "on-night bg-dusk text-chalk" : "bg-sheet"}`}
          style={{ width: `min(96vw, ${wide ? "60rem" : "34rem"})` }}
        >
          <div className="mb-4 flex items-start justify-between gap-4">
            <Dialog.Title>{title}</Dialog.Title>
            <Dialog.Close aria-label={t("sheet.close")} className="-mt-1 p-1">
              <X aria-hidden />
            </Dialog.Close>
          </div>
          <div className="min-h-0 overflow-auto p-1">{children}</div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
