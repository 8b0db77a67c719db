import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Command } from "cmdk";
import { type ReactNode, useEffect, useState } from "react";
import { useNavigate } from "react-router";
import { foundLadders, ladders, lessons } from "../../api/queries";
import { useChosenClass } from "../../chosen-class";
import { FamilyGlyph } from "../../ui/marble";
import { Sheet } from "../../ui/sheet";
import { day } from "../../words";
import { texts } from "../../words/texts";

const t = texts("help");

const MOST = 6;

/** One field for everything that has a name: pages, pupils of all one's classes, lessons of the class in hand, ladders by any of their words. */
export function Finder({
  open,
  onOpenChange,
  pages,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  pages: readonly (readonly [path: string, name: string])[];
}) {
  const [words, setWords] = useState("");
  const navigate = useNavigate();
  const { all, chosen, choose } = useChosenClass();
  const planned = useQuery({ ...lessons(chosen?.id ?? ""), enabled: open && !!chosen });
  const catalogue = useQuery({ ...ladders, enabled: open });
  const asked = words.trim();
  const byWords = useQuery({
    ...foundLadders({ words: asked }),
    placeholderData: keepPreviousData,
    enabled: open && asked.length > 1,
  });
  useEffect(() => {
    if (open) setWords("");
  }, [open]);
  const like = (name: string) => asked !== "" && name.toLowerCase().includes(asked.toLowerCase());
  const go = (path: string) => {
    onOpenChange(false);
    navigate(path);
  };
  const pupils = all.flatMap((c) => c.pupils.filter((p) => like(p.name)).map((p) => ({ ...p, c }))).slice(0, MOST);
  const ladderOf = new Map(catalogue.data?.map((l) => [l.id, l]));
  const found = asked.length > 1 ? (byWords.data ?? []).flatMap((id) => ladderOf.get(id) ?? []).slice(0, MOST) : [];
  const lines = (planned.data ?? []).filter((l) => like(l.name) || like(day(l.onDay))).slice(-MOST);
  const shownPages = pages.filter(([, name]) => asked === "" || like(name));
  return (
    <Sheet title={t("find.title")} open={open} onOpenChange={onOpenChange}>
      <Command shouldFilter={false} label={t("find.title")}>
        <Command.Input
          className="field w-full"
          aria-label={t("find.label")}
          placeholder={t("find.label")}
          value={words}
          onValueChange={setWords}
        />
        <Command.List className="mt-2 max-h-[55dvh] overflow-auto">
          <Command.Empty className="py-4 text-soft">{t("find.none")}</Command.Empty>
          <Part name={t("find.pupils")} there={pupils.length > 0}>
            {pupils.map((p) => (
              <Item
                key={p.id}
                value={t("finder.pupil", { id: p.id })}
                onSelect={() => {
                  choose(p.c.id);
                  go(`/pupils/${p.id}`);
                }}
              >
                {p.name} <span className="opacity-75">{p.c.name}</span>
              </Item>
            ))}
          </Part>
          <Part name={t("find.lessons", { name: chosen?.name ?? "" })} there={lines.length > 0}>
            {lines.map((l) => (
              <Item key={l.id} value={t("finder.lesson", { id: l.id })} onSelect={() => go(`/plan/${l.id}`)}>
                {l.name} <span className="opacity-75">{day(l.onDay)}</span>
              </Item>
            ))}
          </Part>
          <Part name={t("find.ladders")} there={found.length > 0}>
            {found.map((l) => (
              <Item key={l.id} value={t("finder.ladder", { id: l.id })} onSelect={() => go(`/ladders/${l.id}`)}>
                <FamilyGlyph family={l.family} /> {l.name}
              </Item>
            ))}
          </Part>
          <Part name={t("find.pages")} there={shownPages.length > 0}>
            {shownPages.map(([path, name]) => (
              <Item key={path} value={t("finder.page", { path })} onSelect={() => go(path)}>
                {name}
              </Item>
            ))}
          </Part>
        </Command.List>
      </Command>
      <p className="mt-3 text-sm text-soft">{t("find.hint")}</p>
    </Sheet>
  );
}

function Part({ name, there, children }: { name: string; there: boolean; children: ReactNode }) {
  if (!there) return null;
  return (
    <Command.Group
      heading={name}
      className="[&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-0.5 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:font-semibold [&_[cmdk-group-heading]]:text-soft"
    >
      {children}
    </Command.Group>
  );
}

function Item({ value, onSelect, children }: { value: string; onSelect: () => void; children: ReactNode }) {
  return (
    <Command.Item
      value={value}
      onSelect={onSelect}
      className="flex cursor-pointer items-center gap-2 border-b border-rule px-2 py-1.5 data-[selected=true]:bg-ink data-[selected=true]:text-sheet"
    >
      {children}
    </Command.Item>
  );
}
