import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type Problem } from "../../api/client";
import { runDevices } from "../../api/queries";
import type { RunDevices } from "../../api/types";
import { Choice } from "../../ui/choice";
import { timeOfDay } from "../../words";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";

const t = textsOf("run", saidRun);

/** Beyond this a device that says something every ten seconds is missed. */
const SILENT_SEC = 25;
const LOW = 0.2;

const devicesPath = "/api/runs/{id}/devices";

type Device = RunDevices["devices"][number];

/** Devices beside this run: the code that pairs them, where each stands, how full it is and whether it is still heard. */
export function Devices({ runId }: { runId: string }) {
  const client = useQueryClient();
  const key = runDevices(runId).queryKey;
  const params = { path: { id: runId } };
  const known = useQuery(runDevices(runId));
  const ask = useMutation<RunDevices | undefined, Problem, () => Promise<RunDevices | undefined>>({
    mutationFn: (asked) => asked(),
    onSuccess: (now) => (now ? client.setQueryData(key, now) : client.invalidateQueries({ queryKey: key })),
  });
  const problem = ask.error ?? (known.isLoadingError ? (known.error as Problem) : null);
  const { code, untilMs, devices = [], spots = 0, stations = [] } = known.data ?? {};
  return (
    <section aria-labelledby="devices" className="mt-6 border-t border-mist/40 pt-4">
      <h2 id="devices">{t("devices.title")}</h2>
      {problem && (
        <p role="alert">
          <strong>{problem.title}.</strong> {problem.detail}
        </p>
      )}
      {!code && (
        <p className="mt-2 flex flex-wrap items-center gap-3">
          {t("devices.what")}
          <button
            type="button"
            className="btn btn-small"
            onClick={() => ask.mutate(() => api("post", devicesPath, { params }))}
          >
            {t("devices.pair")}
          </button>
        </p>
      )}
      {code && (
        <>
          <p className="mt-2 flex flex-wrap items-baseline gap-x-3">
            <span>{t("devices.address")}</span>
            <strong data-testid="device-address">{`${location.protocol === "https:" ? "wss" : "ws"}://${location.host}/api/devices`}</strong>
            <strong className="digits text-3xl tracking-widest" data-testid="device-code">
              {code}
            </strong>
            {untilMs && <span className="text-mist">{t("devices.until", { timeOfDay: timeOfDay(untilMs) })}</span>}
          </p>
          {devices.length === 0 ? (
            <p className="mt-2 text-mist">{t("devices.none")}</p>
          ) : (
            <ul aria-label={t("devices.list")} className="mt-2 divide-y divide-mist/30">
              {devices.map((d) => (
                <DeviceLine
                  key={d.device}
                  device={d}
                  spots={spots}
                  stations={stations}
                  onMove={(spot, block) =>
                    ask.mutate(() => api("put", devicesPath, { params, body: { device: d.device, spot, block } }))
                  }
                />
              ))}
            </ul>
          )}
          <p className="mt-3">
            <button
              type="button"
              className="btn btn-small"
              onClick={() => ask.mutate(() => api("delete", devicesPath, { params }))}
            >
              {t("devices.close")}
            </button>
          </p>
        </>
      )}
    </section>
  );
}

/** Where a device may stand: a spot of what the clock is in, or of one of the stations that are used at once. */
function placesOf(device: Device, spots: number, stations: RunDevices["stations"]) {
  const many = (n: number) => Array.from({ length: n }, (_, i) => i + 1);
  return [
    ...many(Math.max(spots, device.block === null ? (device.spot ?? 1) : 1)).map((spot) => ({
      value: `${spot}`,
      text: t("devices.spot", { n: spot }),
    })),
    ...stations.flatMap((station, i) =>
      many(station.spots).map((spot) => ({
        value: `${spot}/${station.block}`,
        text: t("devices.atStation", { station: i + 1, task: station.task ?? "", n: spot }),
      })),
    ),
  ];
}

function DeviceLine({
  device,
  spots,
  stations,
  onMove,
}: {
  device: Device;
  spots: number;
  stations: RunDevices["stations"];
  onMove: (spot: number, block: number | null) => void;
}) {
  const percent = device.battery === null ? null : Math.round(100 * device.battery);
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2" data-testid="device">
      <strong className="min-w-20">{t(`devices.${device.kind}`)}</strong>
      {device.kind !== "BOARD" && (
        <Choice
          label={t("devices.spotOf", { device: `${t(`devices.${device.kind}`)} ${device.device}` })}
          value={device.block === null ? `${device.spot ?? 1}` : `${device.spot}/${device.block}`}
          options={placesOf(device, spots, stations)}
          onChange={(place) => {
            const [spot, block] = place.split("/");
            onMove(Number(spot), block === undefined ? null : Number(block));
          }}
        />
      )}
      <span className={state(device) === "heard" ? "text-mist" : "font-semibold"}>{said(device)}</span>
      {percent !== null && (
        <span className={(device.battery ?? 1) < LOW ? "font-semibold" : "text-mist"}>
          {t((device.battery ?? 1) < LOW ? "devices.low" : "devices.battery", { percent })}
        </span>
      )}
      {device.kind !== "BOARD" && (
        <span className="ml-auto text-mist">
          {t("devices.counted", { n: device.counted })}
          {device.notCounted > 0 && `, ${t("devices.notCounted", { n: device.notCounted })}`}
        </span>
      )}
    </li>
  );
}

const state = (d: Device) => (!d.connected ? "gone" : d.silentSec > SILENT_SEC ? "silent" : "heard");

function said(d: Device): string {
  const now = state(d);
  return now === "heard" ? t("devices.heard") : t(`devices.${now}`, { sec: d.silentSec });
}
