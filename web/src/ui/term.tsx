import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { Link } from "react-router";
import type glossary from "../words/glossary.json";
import { texts } from "../words/texts";

const t = texts("glossary");
const help = texts("help");

export type TermOf = keyof typeof glossary;

/** One of our words, explained in a line where it stands: by pointer, touch or keyboard. */
export function Term({ of, children }: { of: TermOf; children?: ReactNode }) {
  return (
    <Popover.Root>
      <Popover.Trigger className="term cursor-help text-left underline decoration-dotted decoration-2 underline-offset-4">
        {children ?? t(`${of}.word`)}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          className="z-50 max-w-80 border-2 border-ink bg-sheet p-3 text-[0.95rem] font-normal text-ink"
        >
          <p>
            <strong>{t(`${of}.word`)}</strong> <span className="text-soft">({t(`${of}.field`)})</span>
          </p>
          <p className="mt-1">{t(`${of}.line`)}</p>
          <p className="mt-1 text-sm">
            <Link to="/words">{help("words.all")}</Link>
          </p>
          <Popover.Arrow className="fill-ink" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
