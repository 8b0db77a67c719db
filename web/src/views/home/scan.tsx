import jsQR from "jsqr";
import { useEffect, useRef, useState } from "react";
import saidHome from "../../words/home.json";
import { textsOf } from "../../words/texts";

const t = textsOf("home", saidHome);
const LOOK_MS = 200;

/** Reads return codes with this device's camera; the pictures never leave it. */
export function Scan({ onCode }: { onCode: (code: string) => void }) {
  const [on, setOn] = useState(false);
  const [why, setWhy] = useState("");
  const video = useRef<HTMLVideoElement>(null);
  const heard = useRef(onCode);
  heard.current = onCode;
  useEffect(() => {
    if (!on) return;
    let stream: MediaStream | undefined;
    let gone = false;
    const canvas = document.createElement("canvas");
    let last = "";
    const look = () => {
      const shown = video.current;
      const to = canvas.getContext("2d", { willReadFrequently: true });
      if (!shown?.videoWidth || !to) return;
      canvas.width = shown.videoWidth;
      canvas.height = shown.videoHeight;
      to.drawImage(shown, 0, 0);
      const found = jsQR(to.getImageData(0, 0, canvas.width, canvas.height).data, canvas.width, canvas.height);
      // One code is held before the camera for many pictures.
      if (!found?.data || found.data === last) return;
      last = found.data;
      heard.current(found.data);
    };
    const timer = setInterval(look, LOOK_MS);
    (navigator.mediaDevices?.getUserMedia({ video: { facingMode: "environment" } }) ?? Promise.reject(new Error("-")))
      .then((made) => {
        stream = made;
        if (gone) for (const track of made.getTracks()) track.stop();
        else if (video.current) video.current.srcObject = made;
      })
      .catch((e: Error) => {
        setWhy(e.message);
        setOn(false);
      });
    return () => {
      gone = true;
      clearInterval(timer);
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, [on]);
  return (
    <>
      <button type="button" className="btn" aria-pressed={on} onClick={() => setOn((is) => !is)}>
        {on ? t("came.photoStop") : t("came.photo")}
      </button>
      {why && <span className="text-sm text-alert">{t("came.photoNone", { why })}</span>}
      {on && (
        <span className="w-full">
          <span className="block text-sm">{t("came.photoLook")}</span>
          <video ref={video} autoPlay playsInline muted className="mt-1 max-h-56 border-2 border-ink" />
        </span>
      )}
    </>
  );
}
