import { Plus, Trash2 } from "lucide-react";
import type { KitKind, Ladder } from "../../api/types";
import { Choice } from "../../ui/choice";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { needs } from "../../words-ladders";
import { groupName } from "../store/kit-grid";
import { Chips, KindList, type Must, Num, Words } from "./form-bits";

const t = textsOf("ladders", saidLadders);

type KitRole = Ladder["kit"][number];

/** What one spot needs, what may stand in and what never. */
export function KitForm({
  kit,
  kinds,
  taken = [],
  onChange,
  must,
}: {
  kit: KitRole[];
  kinds: KitKind[];
  /** parts that stand elsewhere already */
  taken?: string[];
  onChange: (kit: KitRole[], step: string) => void;
  must: Must;
}) {
  const usable = kinds.filter((k) => k.never === null);
  const set = (i: number, change: Partial<KitRole>) =>
    onChange(
      kit.map((k, n) => (n === i ? { ...k, ...change } : k)),
      `kit ${i} ${Object.keys(change)}`,
    );
  const add = () => {
    const ball = usable.find((k) => k.group === "BALL");
    if (!ball) return;
    const there = [...taken, ...kit.map((k) => k.role)];
    const role = there.includes("ball") ? t("kitForm.thing", { n: there.length + 1 }) : "ball";
    onChange(
      [...kit, { role, kind: ball.id, what: ball.name, perSpot: 1, needs: [], standIns: [], refused: [] }],
      `kit ${kit.length}`,
    );
  };
  return (
    <div className="space-y-5">
      {kit.map((k, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a part has no id, and keeps its place while it is written
        <div key={i} className="space-y-2 border-l-4 border-rule pl-3">
          <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
            <Words
              label={t("kitForm.part")}
              value={k.role}
              must={must(`kit[${i}].role`)}
              onChange={(role) => set(i, { role })}
              className="w-36"
            />
            <span className="flex flex-col gap-1">
              <span className="text-sm font-semibold">{t("kitForm.bestPlayedWith")}</span>
              <Choice
                label={t("kitForm.kindFor", { role: k.role })}
                value={k.kind}
                options={usable.map((u) => ({ value: u.id, text: u.name, group: groupName(u.group) }))}
                onChange={(kind) => set(i, { kind, what: usable.find((u) => u.id === kind)?.name ?? k.what })}
              />
            </span>
            <Words
              label={t("kitForm.called")}
              value={k.what}
              must={must(`kit[${i}].what`)}
              onChange={(what) => set(i, { what })}
              className="min-w-52 flex-1"
            />
            <Num
              label={t("kitForm.forOneSpot")}
              value={k.perSpot}
              must={must(`kit[${i}].perSpot`)}
              onChange={(perSpot) => set(i, { perSpot })}
            />
            <button
              type="button"
              className="btn btn-small"
              aria-label={t("kitForm.takeOut", { what: k.what })}
              onClick={() =>
                onChange(
                  kit.filter((_, n) => n !== i),
                  `kit out ${i}`,
                )
              }
            >
              <Trash2 size={16} aria-hidden />
            </button>
          </div>
          <Chips
            label={t("kitForm.aStandinMustBe")}
            value={k.needs}
            words={needs}
            onChange={(n) => set(i, { needs: n })}
          />
          {k.standIns.map((s, n) => (
            <div key={s.kind} className="flex flex-wrap items-end gap-3">
              <span className="pb-1.5">
                {t("kitForm.or")} {usable.find((u) => u.id === s.kind)?.name ?? s.kind}:
              </span>
              <Words
                label={t("kitForm.whatChanges", { what: s.what })}
                value={s.changes}
                must={must(`kit[${i}].standIns[${n}].changes`)}
                onChange={(changes) =>
                  set(i, { standIns: k.standIns.map((o, m) => (m === n ? { ...o, changes } : o)) })
                }
                className="min-w-52 flex-1"
              />
            </div>
          ))}
          <div className="flex flex-wrap gap-x-6 gap-y-2">
            <KindList
              label={t("kitForm.mayStandIn")}
              value={k.standIns.map((s) => s.kind)}
              kinds={usable}
              onChange={(ids) =>
                set(i, {
                  standIns: ids.map(
                    (id) =>
                      k.standIns.find((s) => s.kind === id) ?? {
                        kind: id,
                        what: usable.find((u) => u.id === id)?.name ?? id,
                        changes: t("kitForm.nothingMuch"),
                        make: null,
                        makeMin: 0,
                      },
                  ),
                })
              }
            />
            <KindList
              label={t("kitForm.never")}
              value={k.refused}
              kinds={kinds}
              onChange={(refused) => set(i, { refused })}
            />
          </div>
        </div>
      ))}
      <button type="button" className="btn btn-small" onClick={add}>
        <Plus size={16} aria-hidden /> {t("kitForm.somethingToPlayWith")}
      </button>
    </div>
  );
}
