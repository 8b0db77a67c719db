import { Check, ChevronDown } from "lucide-react";
import { Select } from "radix-ui";

/** A choice from a short list, on Radix; keyboard and screen reader come with it. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  className = "field",
}: {
  label: string;
  value: T;
  options: { value: T; text: string; group?: string }[];
  onChange: (value: T) => void;
  className?: string;
}) {
  const groups = [...new Set(options.map((o) => o.group))];
  return (
    <Select.Root value={value} onValueChange={(v) => onChange(v as T)}>
      <Select.Trigger aria-label={label} className={`${className} inline-flex items-center gap-1.5 text-left`}>
        <Select.Value />
        <Select.Icon>
          <ChevronDown size={16} aria-hidden />
        </Select.Icon>
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={4}
          className="z-50 max-h-[60vh] overflow-auto border-2 border-ink bg-sheet"
        >
          <Select.Viewport>
            {groups.map((group) => (
              <Select.Group key={group ?? ""}>
                {group && (
                  <Select.Label className="px-3 pt-2 pb-1 text-sm font-semibold text-soft">{group}</Select.Label>
                )}
                {options
                  .filter((o) => o.group === group)
                  .map((o) => (
                    <Select.Item
                      key={o.value}
                      value={o.value}
                      className="flex cursor-pointer items-center gap-2 px-3 py-1.5 outline-none data-[highlighted]:bg-ink data-[highlighted]:text-sheet"
                    >
                      <span className="w-4">
                        <Select.ItemIndicator>
                          <Check size={16} aria-hidden />
                        </Select.ItemIndicator>
                      </span>
                      <Select.ItemText>{o.text}</Select.ItemText>
                    </Select.Item>
                  ))}
              </Select.Group>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}
