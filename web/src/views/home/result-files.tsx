import { useRef, useState } from "react";
import saidHome from "../../words/home.json";
import { textsOf } from "../../words/texts";

const t = textsOf("home", saidHome);

/** Saved result files: each has its return code in it. */
export function ResultFiles({ onCodes }: { onCodes: (codes: string[]) => void }) {
  const input = useRef<HTMLInputElement>(null);
  const [bad, setBad] = useState<string[]>([]);
  const read = async (files: File[]) => {
    const codes: string[] = [];
    const wrong: string[] = [];
    for (const file of files) {
      const code = codeIn(await file.text());
      if (code) codes.push(code);
      else wrong.push(file.name);
    }
    setBad(wrong);
    if (codes.length > 0) onCodes(codes);
  };
  return (
    <>
      <button type="button" className="btn" onClick={() => input.current?.click()}>
        {t("came.file")}
      </button>
      <input
        ref={input}
        type="file"
        multiple
        accept="application/json,.json"
        aria-label={t("came.file")}
        className="sr-only"
        tabIndex={-1}
        onChange={(e) => {
          read([...(e.target.files ?? [])]);
          e.target.value = "";
        }}
      />
      {bad.map((name) => (
        <span key={name} role="alert" className="text-sm text-alert">
          {t("came.badFile", { name })}
        </span>
      ))}
    </>
  );
}

/** The code in a result file, or nothing where it is none. */
export function codeIn(text: string): string | undefined {
  try {
    const said: unknown = JSON.parse(text);
    if (typeof said !== "object" || said === null) return undefined;
    const { format, code } = said as { format?: unknown; code?: unknown };
    return format === "unruly-marble-result" && typeof code === "string" ? code : undefined;
  } catch {
    return undefined;
  }
}
