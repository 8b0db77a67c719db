import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { X } from "lucide-react";
import { useState } from "react";
import { api, type Problem } from "../../api/client";
import { classCompany } from "../../api/queries";
import type { Company, SchoolClass } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";
import { Failed, Loading } from "../../ui/states";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";

const t = textsOf("store", saidStore);

type Kind = keyof Company;

/** Who is better apart in groups and pairs, and who belongs together: for the teacher's eyes alone. */
export function ClassCompany({ known }: { known: SchoolClass }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        {t("company.open")}
      </button>
      <Sheet title={t("company.title", { name: known.name })} open={open} onOpenChange={setOpen}>
        {open && <Pairs known={known} />}
      </Sheet>
    </>
  );
}

function Pairs({ known }: { known: SchoolClass }) {
  const client = useQueryClient();
  const said = useQuery(classCompany(known.id));
  const keep = useMutation<Company, Problem, Company>({
    mutationFn: (body) => api("put", "/api/classes/{id}/company", { params: { path: { id: known.id } }, body }),
    onSuccess: (now) => {
      client.setQueryData(classCompany(known.id).queryKey, now);
      client.invalidateQueries({ queryKey: ["lesson"] });
    },
  });
  if (said.isLoadingError) return <Failed error={said.error} again={() => said.refetch()} />;
  if (!said.data) return <Loading what={t("company.open")} />;
  const company = said.data;
  const nameOf = (id: string) => known.pupils.find((p) => p.id === id)?.name ?? "";
  const kinds: Kind[] = ["apart", "together"];
  return (
    <>
      <p className="text-soft">{t("company.why")}</p>
      {kinds.map((kind) => (
        <section key={kind} className="mt-4" aria-label={t(`company.${kind}`)}>
          <h3 className="font-bold">{t(`company.${kind}`)}</h3>
          <ul>
            {company[kind].map((pair) => {
              const names = { one: nameOf(pair[0] ?? ""), other: nameOf(pair[1] ?? "") };
              return (
                <li key={pair.join()} className="flex items-center gap-3 border-b border-rule py-1">
                  <span className="flex-1">{t("company.pair", names)}</span>
                  <button
                    type="button"
                    className="btn btn-small"
                    aria-label={t("company.takeOut", names)}
                    onClick={() => keep.mutate({ ...company, [kind]: company[kind].filter((p) => p !== pair) })}
                  >
                    <X size={16} aria-hidden />
                  </button>
                </li>
              );
            })}
          </ul>
          <OneMore
            known={known}
            kind={kind}
            onAdd={(pair) => keep.mutate({ ...company, [kind]: [...company[kind], pair] })}
          />
        </section>
      ))}
      {keep.error && (
        <p role="alert" className="mt-3 font-semibold text-alert">
          {keep.error.errors.map((e) => t("company.wrong", { must: e.must })).join(" ") || keep.error.detail}
        </p>
      )}
    </>
  );
}

function OneMore({ known, kind, onAdd }: { known: SchoolClass; kind: Kind; onAdd: (pair: string[]) => void }) {
  const [one, setOne] = useState(known.pupils[0]?.id ?? "");
  const [other, setOther] = useState(known.pupils[1]?.id ?? "");
  if (known.pupils.length < 2) return <p className="text-soft">{t("company.tooFew")}</p>;
  const options = known.pupils.map((p) => ({ value: p.id, text: p.name }));
  return (
    <p className="mt-2 flex flex-wrap items-center gap-2">
      <Choice
        label={t("company.oneOf", { kind: t(`company.${kind}`) })}
        value={one}
        options={options}
        onChange={setOne}
      />
      <span>{t("company.and")}</span>
      <Choice
        label={t("company.otherOf", { kind: t(`company.${kind}`) })}
        value={other}
        options={options}
        onChange={setOther}
      />
      <button type="button" className="btn btn-small" disabled={one === other} onClick={() => onAdd([one, other])}>
        {t(`company.add.${kind}`)}
      </button>
    </p>
  );
}
