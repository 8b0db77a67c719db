import { CalendarDays } from "lucide-react";
import { Popover } from "radix-ui";
import { useState } from "react";
import { DayPicker } from "react-day-picker";
import { enGB } from "react-day-picker/locale";
import "react-day-picker/style.css";
import { localDay } from "../local-day";
import { day } from "../words";

/** A day, said as everywhere ("Tue 1 Dec") and picked in a calendar whose weeks begin on Monday. */
export function DayField({
  id,
  label,
  value,
  onChange,
  invalid,
  describedBy,
  disabled,
}: {
  id?: string;
  label: string;
  value: string;
  onChange: (day: string) => void;
  invalid?: boolean;
  describedBy?: string;
  disabled?: boolean;
}) {
  const [open, setOpen] = useState(false);
  const at = new Date(`${value}T12:00:00`);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        id={id}
        className="field inline-flex items-center gap-2"
        aria-label={`${label}, ${day(value)}`}
        aria-invalid={invalid}
        aria-describedby={describedBy}
        disabled={disabled}
      >
        {day(value)} <CalendarDays size={16} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          collisionPadding={8}
          aria-label={label}
          className="days z-50 border-2 border-ink bg-sheet p-3"
        >
          <DayPicker
            mode="single"
            required
            autoFocus
            locale={enGB}
            selected={at}
            defaultMonth={at}
            onSelect={(picked) => {
              onChange(localDay(picked));
              setOpen(false);
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
