import type { Partners, Roles, Stations } from "../../api/types";
import { Term } from "../../ui/term";
import { TimeField, timeOf, timeText } from "../../ui/time-field";
import { clock } from "../../words";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { Given } from "./given";
import { NumberRow } from "./length-field";
import { ModeButtons } from "./mode-buttons";
import { Group, Switch } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { type Said, Working } from "./working";

const say = textsOf("marks", saidMarks);

type V = {
  mode: string;
  groups: number | null;
  stations: number | null;
  explainSec: number | null;
  roundSec: number | null;
  swapSec: number | null;
  start: string;
  people: number | null;
  howMany: number | null;
  named: boolean;
  inGroup: number | null;
  roles: number | null;
  roleNames: string;
};

const modes = [
  { value: "stations", text: say("stations.stations") },
  { value: "partners", text: say("stations.partners") },
  { value: "roles", text: say("stations.roles") },
];

/** Its values, and what the core says of them. */
function useStations(given: Given) {
  const pupils = given.chosen?.pupils ?? [];
  const [v, change] = useValues<V>({
    mode: "stations",
    groups: 4,
    stations: 4,
    explainSec: 180,
    roundSec: 300,
    swapSec: 45,
    start: "10:00",
    people: Math.max(2, Math.min(64, pupils.length || 12)),
    howMany: 5,
    named: pupils.length > 1,
    inGroup: 4,
    roles: 3,
    roleNames: say("stations.throwsCatchesCounts"),
  });
  const stations = useReckon(
    "stations",
    {
      groups: v.groups,
      stations: v.stations,
      explainSec: v.explainSec,
      roundSec: v.roundSec,
      swapSec: v.swapSec,
    },
    v,
  );
  const partners = useReckon("partners", { people: v.people, howMany: v.howMany }, v);
  const roles = useReckon("roles", { people: v.inGroup, roles: v.roles }, v);
  const shown = v.mode === "stations" ? stations : v.mode === "partners" ? partners : roles;
  const number = (key: keyof V & string, label: string, unit = "", path: string = key) => (
    <NumberRow
      label={label}
      unit={unit}
      value={v[key] as number | null}
      must={shown.must(path)}
      onChange={(n) => change({ [key]: n } as Partial<V>)}
    />
  );
  const name = (n: number) => (v.named ? (pupils[n - 1]?.name ?? say("stations.no", { n })) : `${n}`);
  const roleName = (n: number) => v.roleNames.split(",")[n - 1]?.trim() || say("stations.role", { n });
  return { given, pupils, v, change, stations, partners, roles, shown, number, name, roleName };
}

type Parts = ReturnType<typeof useStations>;

/** Who goes where, with whom, in which part; printed large. */
export function StationsWorking({ given }: { given: Given }) {
  const parts = useStations(given);
  const { v, stations, partners, roles, shown } = parts;
  return (
    <Working
      title={say("stations.stationsAndPartners")}
      given={given}
      values={v}
      problem={shown.problem}
      drawing={<Shown {...parts} />}
      said={
        v.mode === "stations"
          ? stations.answer
            ? toldStations(stations.answer, stations.of)
            : []
          : v.mode === "partners"
            ? partners.answer
              ? toldPartners(partners.answer, partners.of)
              : []
            : roles.answer
              ? [
                  {
                    text: say("stations.andEveryoneHasHadEach", { count: roles.answer.roleOfPerson.length }),
                  },
                ]
              : []
      }
      controls={<Controls {...parts} />}
      measures={[]}
      materials={
        v.mode === "stations"
          ? [
              say("stations.stationCards", { stations: v.stations }),
              say("stations.aClock"),
              say("stations.aCallToChangeOver"),
            ]
          : [say("stations.thisTableOnTheWall")]
      }
      cautions={["STAIRS_AND_DOORS", "LOOSE_BALLS", "SWING_CLEARANCE"]}
    />
  );
}

function Shown({ v, change, stations, partners, roles, name, roleName }: Parts) {
  return (
    <>
      <ModeButtons
        label={say("stations.whatIsToRotate")}
        modes={modes}
        value={v.mode}
        onChange={(mode) => change({ mode })}
      />
      {v.mode === "stations" && stations.answer && <StationTable answer={stations.answer} start={v.start} />}
      {v.mode === "partners" && partners.answer && <PartnerTable answer={partners.answer} name={name} />}
      {v.mode === "roles" && roles.answer && <RoleTable answer={roles.answer} roleName={roleName} />}
    </>
  );
}

function Controls({ given, pupils, v, change, number }: Parts) {
  return v.mode === "stations" ? (
    <Group title={say("stations.theRotation")}>
      {number("groups", say("stations.groups"))}
      {number("stations", say("stations.stations"))}
      {number("explainSec", say("stations.explaining"), "s")}
      {number("roundSec", say("stations.atEachStation"), "s")}
      {number("swapSec", say("stations.toChangeOver"), "s")}
      <div className="flex items-center gap-2">
        <span className="mr-auto">{say("stations.startsAt")}</span>
        <TimeField
          label={say("stations.startsAt")}
          value={timeOf(v.start) ?? null}
          onChange={(min) => change({ start: min === null ? "" : timeText(min) })}
        />
        <span className="w-7" />
      </div>
    </Group>
  ) : v.mode === "partners" ? (
    <Group title={say("stations.partners")}>
      {number("people", say("stations.people"))}
      {number("howMany", say("stations.rounds"))}
      {pupils.length > 1 && (
        <Switch
          label={say("stations.namesOf", { name: given.chosen?.name })}
          on={v.named}
          onChange={(named) => change({ named, ...(named ? { people: Math.min(64, pupils.length) } : {}) })}
        />
      )}
    </Group>
  ) : (
    <Group title={say("stations.roles")}>
      {number("inGroup", say("stations.inTheGroup"), "", "people")}
      {number("roles", say("stations.roles"))}
      <label className="block">
        <span>{say("stations.theirNamesWithCommas")}</span>
        <input
          className="field w-full"
          value={v.roleNames}
          maxLength={200}
          onChange={(e) => change({ roleNames: e.target.value })}
        />
      </label>
    </Group>
  );
}

const cell = "border-2 border-ink px-3 py-2 text-center text-lg print:text-2xl";

/** "10:00" and 300 s later -> "10:05", and 345 s later "10:05 + 45 s": no clock on a wall reads 10:05:45. */
export function later(start: string, sec: number): string {
  const [h, m] = start.split(":").map(Number);
  if (h === undefined || m === undefined || Number.isNaN(h + m)) return clock(sec);
  const all = (h * 3600 + m * 60 + sec) % 86_400;
  const two = (n: number) => String(Math.floor(n)).padStart(2, "0");
  const rest = all % 60;
  return `${two(all / 3600)}:${two((all % 3600) / 60)}${rest ? ` + ${rest} s` : ""}`;
}

function StationTable({ answer, start }: { answer: Stations; start: string }) {
  return (
    <div className="overflow-x-auto">
      <table className="border-collapse" data-testid="table">
        <caption className="sr-only">{say("stations.stationOfEachGroup")}</caption>
        <thead>
          <tr>
            <th scope="col" className={cell}>
              {say("stations.from")}
            </th>
            {answer.rounds[0]?.stationOfGroup.map((_, g) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a group is its number
              <th scope="col" key={g} className={cell}>
                {say("stations.group", { n: g + 1 })}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {answer.rounds.map((r) => (
            <tr key={r.startSec}>
              <th scope="row" className={`${cell} clock`}>
                {later(start, r.startSec)}
              </th>
              {r.stationOfGroup.map((s, g) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a group is its number
                <td key={g} className={`${cell} ${s === null ? "text-soft" : "font-bold"}`}>
                  {s ?? say("stations.rests")}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function PartnerTable({ answer, name }: { answer: Partners; name: (n: number) => string }) {
  return (
    <div className="space-y-3" data-testid="table">
      {answer.rounds.map((r, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a round is its number
        <section key={i} className="break-inside-avoid border-t-2 border-ink pt-1.5">
          <h2>{say("stations.round", { value: i + 1 })}</h2>
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-x-5 text-[1.02rem] print:text-lg">
            {r.pairs.map((p) => (
              <li key={p.one}>
                {name(p.one)} – {name(p.other)}
              </li>
            ))}
            {r.sitsOut !== null && (
              <li className="text-soft">{say("stations.joinsAPairOr", { name: name(r.sitsOut) })}</li>
            )}
          </ul>
        </section>
      ))}
    </div>
  );
}

function RoleTable({ answer, roleName }: { answer: Roles; roleName: (n: number) => string }) {
  return (
    <div className="overflow-x-auto">
      <table className="border-collapse" data-testid="table">
        <caption className="sr-only">{say("stations.roleOfEachPerson")}</caption>
        <thead>
          <tr>
            <th scope="col" className={cell}>
              <Term of="turn">{say("stations.turn")}</Term>
            </th>
            {answer.roleOfPerson[0]?.map((_, p) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a person is a number
              <th scope="col" key={p} className={cell}>
                {say("stations.person", { n: p + 1 })}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {answer.roleOfPerson.map((turn, t) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a turn is its number
            <tr key={t}>
              <th scope="row" className={cell}>
                {t + 1}
              </th>
              {turn.map((role, p) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a person is a number
                <td key={p} className={`${cell} ${role ? "font-bold" : "text-soft"}`}>
                  {role ? roleName(role) : say("stations.waits")}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function toldStations(a: Stations, v: V): Said[] {
  const rest = (v.groups ?? 0) - (v.stations ?? 0);
  return [
    {
      text: say("stations.ofToChangeOverEvery", {
        count: a.rounds.length,
        roundSec: clock(v.roundSec ?? 0),
        swapSec: clock(v.swapSec ?? 0),
        totalSec: clock(a.totalSec),
        later: later(v.start, a.totalSec),
      }),
    },
    ...(rest > 0
      ? [
          {
            kind: "note" as const,
            text: say("stations.inEveryRoundEachEqually", { count: rest }),
          },
        ]
      : []),
  ];
}

function toldPartners(a: Partners, v: V): Said[] {
  return [
    (v.howMany ?? 0) > a.roundsUntilAgain
      ? {
          kind: "warn",
          text: say("stations.afterRoundsEverybodyHasMet", { roundsUntilAgain: a.roundsUntilAgain }),
        }
      : {
          text: say("stations.nobodyMeetsTwicePairsWould", { count: a.roundsUntilAgain }),
        },
  ];
}
